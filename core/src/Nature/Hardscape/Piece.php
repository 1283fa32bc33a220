<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Hardscape;

use Olvek\Core\Basis\Field\Item;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Basis\Unit\Dimension;

/** A stone or a piece of wood in the tank. */
final readonly class Piece implements Item
{
    /** In one plan. */
    public const MOST = 40;
    /** meq of alkalinity that a joint of wadding and soda leaves in the water: a quarter of a gram of bicarbonate. J (0.1–1 g). */
    private const SODA = 3.0;

    /**
     * @param string $id     unique among the plan's pieces
     * @param float  $litres of room that it fills
     * @param float  $place  0 (left) – 1 (right)
     * @param float  $row    0 (front) – 1 (back)
     * @param bool   $fixed  glued, tied or weighed down, no matter how
     * @param bool   $soaked stood in water until it was proved sound
     * @param float  $length m along the front; 0 where nobody measured: as a cube of its volume
     * @param float  $width  m from front to back, likewise
     * @param float  $height m, likewise
     */
    public function __construct(
        public string $id,
        public HardscapeKind $kind,
        #[Number('volume', Dimension::Volume, 0.005, 500.0, 'litres of room that it fills', decimals: 2)]
        public float $litres,
        #[Number('left to right', Dimension::Share, 0.0, 1.0, '0 left, 1 right', decimals: 0)]
        public float $place,
        #[Number('front to back', Dimension::Share, 0.0, 1.0, '0 front, 1 back', decimals: 0)]
        public float $row,
        #[YesNo('secured', 'glued, tied or weighed down', 'loose', 'glued, tied or weighed down', when: 'asksWhetherFixed')]
        public bool $fixed = false,
        #[YesNo('soak test', 'passed', 'still to do', 'passed the soak test', when: 'wantsSoaking')]
        public bool $soaked = false,
        #[Number('length (0: as a cube)', Dimension::Length, 0.0, 5.0, 'm along the front; 0 where nobody measured')]
        public float $length = 0.0,
        #[Number('width (0: as a cube)', Dimension::Length, 0.0, 5.0, 'm from front to back; 0 where nobody measured')]
        public float $width = 0.0,
        #[Number('height (0: as a cube)', Dimension::Length, 0.0, 5.0, 'm; 0 where nobody measured')]
        public float $height = 0.0,
        #[OneOf('held by', 'how it is held in its place')] public Fixing $fixing = Fixing::None,
        #[OneOf('comes from', 'where it comes from')] public Source $source = Source::Shop,
    ) {
    }

    public function key(): string
    {
        return $this->id;
    }

    public function mass(): float
    {
        return $this->litres * $this->kind->density->value;
    }

    /** m² on which bacteria settle. */
    public function surface(): float
    {
        return $this->litres / 1000 * $this->kind->surface->value;
    }

    public function isFixed(): bool
    {
        return $this->fixed || Fixing::None !== $this->fixing;
    }

    public function asksWhetherFixed(): bool
    {
        return $this->kind->floats() && Fixing::None === $this->fixing;
    }

    public function wantsSoaking(): bool
    {
        return $this->kind->soakDays->value > 0;
    }

    /** m that it is high, as measured or as a cube. */
    public function tall(): float
    {
        return $this->height > 0 ? $this->height : $this->cube();
    }

    /** m along the front. */
    public function long(): float
    {
        return $this->length > 0 ? $this->length : $this->cube();
    }

    /** m from front to back. */
    public function broad(): float
    {
        return $this->width > 0 ? $this->width : $this->cube();
    }

    /** Whether its length and width were measured, so that what it stands on is known. */
    public function isMeasured(): bool
    {
        return $this->length > 0 && $this->width > 0;
    }

    /** m² of ground that it covers. */
    public function footprint(): float
    {
        return $this->long() * $this->broad();
    }

    /** Whether a place, m from its middle along and across, lies under it. */
    public function covers(float $along, float $across): bool
    {
        return abs($along) <= $this->long() / 2 && abs($across) <= $this->broad() / 2;
    }

    /** meq of alkalinity that its fixing leaves in the water. */
    public function alkalinity(): float
    {
        return Fixing::WaddingAndSoda === $this->fixing ? self::SODA : 0.0;
    }

    /** m: edge of a cube as large. */
    private function cube(): float
    {
        return ($this->litres / 1000) ** (1 / 3);
    }
}
