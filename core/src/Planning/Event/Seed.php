<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** A sponge or gravel of a running tank is laid in. The run has its bacteria from the day of filling. */
#[Happens('borrowed bacteria', About::Water, planned: false, done: 'Sponge or gravel of a running tank laid in')]
#[LogButton('Sponge or gravel laid in', 'water', 6)]
final readonly class Seed extends Dated
{
    public function happen(int $day, Tank $tank): void
    {
        // The run has them from the day of filling: Plan\Inoculum.
    }
}
