<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Service\Log\TankState;
use Olvek\Service\Work\Job;

/** A few of the tanks of an estimate, in one of its steps. */
final readonly class EstimateJob implements Job
{
    /** @param int $part 0 to EstimateParts::PARTS − 1; each needs those of the step before */
    public function __construct(public TankState $state, public int $part)
    {
    }

    public function key(): string
    {
        return "estimate.{$this->state->key}.$this->part";
    }

    public function cost(): int
    {
        return 1;
    }
}
