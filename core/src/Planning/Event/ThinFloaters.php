<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Whenever floaters cover more than one share of the surface, they are thinned to another. */
#[Happens('floaters thinned', About::Plant, planned: false)]
final readonly class ThinFloaters implements Event
{
    public function __construct(
        #[Number('above', Dimension::Share, 0.0, 1.0, 'of the surface', decimals: 0)]
        public float $above,
        #[Number('to', Dimension::Share, 0.0, 1.0, 'of the surface', decimals: 0)]
        public float $to,
    ) {
        InvalidValue::unlessSound($this);
    }

    public function due(int $day, Tank $tank): bool
    {
        return $tank->cover() > $this->above;
    }

    public function happen(int $day, Tank $tank): void
    {
        $share = 1 - $this->to / $tank->cover();
        foreach ($tank->floaters() as $clump) {
            $tank->cut($clump, $share);
        }
    }
}
