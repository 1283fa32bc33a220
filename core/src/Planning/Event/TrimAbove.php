<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Whenever the plants under water pass a mass, all are cut back to another. */
#[Happens('plants under water cut back', About::Plant, planned: false)]
final readonly class TrimAbove implements Event
{
    public function __construct(
        #[Number('above', Dimension::Count, 1.0, 2000.0, 'g dry per m² of floor')]
        public float $above,
        #[Number('to', Dimension::Count, 0.0, 2000.0, 'g dry per m² of floor')]
        public float $to,
    ) {
        InvalidValue::unlessSound($this);
    }

    public function due(int $day, Tank $tank): bool
    {
        return $tank->density() > $this->above;
    }

    public function happen(int $day, Tank $tank): void
    {
        $share = 1 - $this->to / $tank->density();
        foreach ($tank->submerged() as $clump) {
            $tank->cut($clump, $share);
        }
    }
}
