<?php

declare(strict_types=1);

namespace Olvek\Log;

use Olvek\Core\Log\Log;
use Olvek\Work\Job;

/** What a tank's water will have held since it was filled. */
final readonly class LifeJob implements Job
{
    /** @param string $plan its document */
    public function __construct(public string $plan, public Log $log, public int $days)
    {
    }

    public function key(): string
    {
        return implode('.', ['life', $this->days, hash('xxh128', serialize([$this->plan, $this->log->events, $this->log->algae]))]);
    }

    public function cost(): int
    {
        return 5;
    }
}
