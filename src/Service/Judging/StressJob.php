<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Service\Work\Job;

/** What mishaps come to in a plan. */
final readonly class StressJob implements Job
{
    /** @param string $plan its document */
    public function __construct(public string $plan)
    {
    }

    public function key(): string
    {
        return 'stress.'.hash('xxh128', $this->plan);
    }

    public function cost(): int
    {
        return 4;
    }
}
