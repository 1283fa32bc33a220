<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Core\Simulation\Run\Runner;

/** The tanks of a plan's ensemble, each run. */
final readonly class RunPieces implements Pieces
{
    /** @param list<Event> $events */
    public function __construct(private Plan $plan, private int $members, private int $days, private array $events)
    {
    }

    /** @return array<string, list<float>> */
    public function piece(int $n): array
    {
        [$plan, $parameters] = (new Ensemble($this->plan, $this->members))->member($n);

        return (new Runner($plan, $parameters))->run($this->days, $this->events)->columns;
    }
}
