<?php

declare(strict_types=1);

namespace Olvek\Service\Compare;

use Olvek\Service\Log\TankState;
use Olvek\Service\Work\Job;

/** A few of the tanks by which it is known how sure the margins are of a tank as it has gone. */
final readonly class LivedBandJob implements Job
{
    /** @param int $part 0 to Doubt::TANKS / Outcomes::TANKS − 1 */
    public function __construct(public TankState $state, public int $part)
    {
    }

    public function key(): string
    {
        return "lived.{$this->state->key}.$this->part";
    }

    public function cost(): int
    {
        return 1;
    }
}
