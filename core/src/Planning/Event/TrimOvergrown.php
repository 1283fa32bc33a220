<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Whenever a clump other than floaters has grown to so many times its planted mass, it is cut back to another. */
#[Happens('overgrown plants cut back', About::Plant, planned: false)]
final readonly class TrimOvergrown implements Event
{
    public function __construct(
        #[Number('above', Dimension::Count, 1.0, 100.0, 'times the planted mass')]
        public float $above,
        #[Number('to', Dimension::Count, 0.1, 100.0, 'times the planted mass')]
        public float $to,
    ) {
        InvalidValue::unlessSound($this);
    }

    public function due(int $day, Tank $tank): bool
    {
        return $tank->mostGrown() > $this->above;
    }

    public function happen(int $day, Tank $tank): void
    {
        foreach ($tank->standing() as $clump) {
            $grown = $tank->grown($clump);
            if ($grown > $this->above) {
                $tank->cut($clump, 1 - $this->to / $grown);
            }
        }
    }
}
