<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** A lamp beside the first, with hours of its own: over the back, say, or only at noon. It hangs as high and sheds as much beside. */
final readonly class SecondLamp
{
    /** lm per W of white diodes, where the kind of lamp is not told. M (70–130). */
    public const LUMENS_PER_WATT = 95.0;

    /**
     * @param float         $lumens luminous flux, lm; 0 where there is no second lamp, or it is known by its watts
     * @param float         $hours  per day, within those of the first or beyond
     * @param float         $on     hour of the day (0–24) at which it goes on
     * @param float         $watts  that it draws, where it is known by them
     */
    public function __construct(
        #[Number(
            'second lamp (0: none)',
            Dimension::LuminousFlux,
            0.0,
            200000.0,
            'lm; 0 for none, or where known by watts',
            decimals: 0,
            at: 'secondLumens',
        )]
        public float $lumens = 0.0,
        #[Number('second lamp, watts (0: by lumens)', Dimension::Count, 0.0, 2000.0, 'where it is known by them', at: 'secondWatts')]
        public float $watts = 0.0,
        #[KindOf(
            'lamps',
            'a lamp',
            'second lamp is',
            'white diodes',
            'id in the catalogue of lamps; null: white diodes',
            at: 'secondKind',
            when: 'burns',
        )]
        public ?LampKind $kind = null,
        #[Number('second lamp, hours', Dimension::Duration, 0.0, 24.0, 'a day', decimals: 2, at: 'secondHours', when: 'burns')]
        public float $hours = 4.0,
        #[Number(
            'second lamp on at',
            Dimension::Duration,
            0.0,
            24.0,
            'hour of the day',
            unit: '',
            clock: true,
            at: 'secondOn',
            when: 'burns',
        )]
        public float $on = 12.0,
    ) {
    }

    public function burns(): bool
    {
        return $this->lumens > 0 || $this->watts > 0;
    }

    /** Luminous flux, lm. */
    public function flux(): float
    {
        return $this->lumens > 0 ? $this->lumens : $this->watts * ($this->kind->lumensPerWatt->value ?? self::LUMENS_PER_WATT);
    }
}
