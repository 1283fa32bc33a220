<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** Bottled bacteria are poured in. The run has them from the day of filling, as the plan’s first bacteria. */
#[Happens('bottled bacteria', About::Water, planned: false, done: 'Bottled bacteria poured in')]
#[LogButton('Bottled bacteria', 'water', 5)]
final readonly class Bacteria extends Dated
{
    public function happen(int $day, Tank $tank): void
    {
        // The run has them from the day of filling: Plan\Inoculum.
    }
}
