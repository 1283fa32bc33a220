<?php

declare(strict_types=1);

namespace Olvek\Compare;

use Olvek\Work\Job;

/** A few of the tanks by which it is known how sure the margins are of a tank as it has gone. */
final readonly class LivedBandJob implements Job
{
    /**
     * @param string $tank  its id
     * @param string $state tells the state of plan, logbook and day from another
     * @param int    $part  0 to Doubt::TANKS / Outcomes::TANKS − 1
     */
    public function __construct(public string $tank, public string $state, public int $part)
    {
    }

    public function key(): string
    {
        return implode('.', ['lived', $this->part, $this->tank, $this->state]);
    }

    public function cost(): int
    {
        return 1;
    }
}
