<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Basis\Unit\Dimension;

/** Technique, where a tank has any: what warms its water, moves it and filters it. */
final readonly class Equipment
{
    /**
     * Exchange of gases with the air in well stirred water, times that of still water, M: still 0.3–1, stirred 3–6 m/d; and turnovers an
     * hour that bring two thirds of the way there, J.
     */
    private const STIRRED = 4.5;
    private const TURNOVERS = 3.0;
    /** Share of their growth that tossed floaters lose at most, and turnovers an hour that cost two thirds of that. J. */
    private const TOSSED = 0.6;
    private const TOSSING = 8.0;
    /** m² on which bacteria settle, per litre of sponge. M: open foam of 20 pores an inch, 500 to 1,500 m²/m³. */
    private const PER_LITRE = 0.8;
    /** Share of that which works where water is drawn through it. J: mulm fills the rest within weeks. */
    private const WORKS = 0.5;

    /**
     * @param float $target °C to which room or heater warm
     * @param float $watts  of the heater; 0 for as strong as need be
     * @param float $flow   litres an hour that the device moves
     * @param float $media  litres of sponge or other media in the filter
     * @param int   $rinse  days after which the sponge is rinsed, each time; 0 for when it clogs
     * @param bool  $siphonSafe a check valve, or the pump stands above the water
     */
    public function __construct(
        #[OneOf('heating', 'what keeps the water warm')] public Heating $heating = Heating::None,
        #[Number('heated to', Dimension::Temperature, 15.0, 32.0, '°C to which room or heater warm', when: 'heats')]
        public float $target = 25.0,
        #[Number(
            'heater, watts (0: as strong as need be)',
            Dimension::Count,
            0.0,
            2000.0,
            'of the heater; 0 for as strong as need be',
            decimals: 0,
            when: 'hasHeater',
        )]
        public float $watts = 0.0,
        #[OneOf('water moved by', 'what moves the water, beside fish and warmth')] public Device $device = Device::None,
        #[Number(
            'flow an hour',
            Dimension::Volume,
            1.0,
            20000.0,
            'litres an hour that the device moves; by label less a third for what it must lift',
            decimals: 0,
            when: 'moves',
        )]
        public float $flow = 100.0,
        #[Number('sponge or other media', Dimension::Volume, 0.0, 100.0, 'litres of it in the filter', decimals: 2, when: 'filters')]
        public float $media = 0.3,
        #[Number('sponge rinsed every days (0: when it clogs)', Dimension::Count, 0, 365, 'days between', decimals: 0, when: 'filters')]
        public int $rinse = 0,
        #[YesNo('backflow', 'check valve, or pump above the water', 'not seen to', 'air hoses need one', when: 'isDrivenByAir')]
        public bool $siphonSafe = false,
    ) {
    }

    public function heats(): bool
    {
        return Heating::None !== $this->heating;
    }

    public function hasHeater(): bool
    {
        return Heating::Tank === $this->heating;
    }

    public function moves(): bool
    {
        return Device::None !== $this->device;
    }

    public function filters(): bool
    {
        return $this->device->isFilter();
    }

    public function isDrivenByAir(): bool
    {
        return $this->device->isDrivenByAir();
    }

    /** Whether anything of it hangs on the mains. */
    public function isPowered(): bool
    {
        return $this->hasHeater() || $this->moves();
    }

    /** Times an hour that the device moves the water once through. */
    public function turnovers(float $litres): float
    {
        return $this->moves() ? $this->flow / max(0.1, $litres) : 0.0;
    }

    /** Exchange of gases with the air, times that of still water. */
    public function exchange(float $litres): float
    {
        $stirred = $this->turnovers($litres) * $this->device->stirs();

        return 1 + (self::STIRRED - 1) * (1 - exp(-$stirred / self::TURNOVERS));
    }

    /** Share (0–1) of their growth that floaters which drift freely keep in its current. */
    public function calm(float $litres): float
    {
        return 1 - self::TOSSED * (1 - exp((-$this->turnovers($litres) * $this->device->drags()) / self::TOSSING));
    }

    /** m² in the filter on which bacteria work. */
    public function surface(): float
    {
        return $this->filters() ? self::WORKS * self::PER_LITRE * $this->media : 0.0;
    }
}
