<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Service\Log\TankState;
use Olvek\Service\Work\Job;

/** A few of the tanks of an estimate, with something done in days to come. */
final readonly class AskJob implements Job
{
    /**
     * @param list<array<string, float>> $scores of these tanks, as the estimate has them
     * @param array<string, string>      $edits  of the plan, as typed
     * @param int                        $part   which of the estimate's tanks they are
     */
    public function __construct(public TankState $state, public array $scores, public array $edits, public int $part)
    {
    }

    public function key(): string
    {
        return implode('.', ['ask', $this->state->key, hash('xxh128', serialize([$this->scores, $this->edits])), $this->part]);
    }

    public function cost(): int
    {
        return 1;
    }
}
