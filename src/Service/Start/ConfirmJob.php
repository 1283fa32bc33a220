<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Service\Work\Job;

/** How sure a composed plan is. */
final readonly class ConfirmJob implements Job
{
    /** @param string $plan its document */
    public function __construct(public string $plan)
    {
    }

    public function key(): string
    {
        return 'confirm.'.hash('xxh128', $this->plan);
    }

    public function cost(): int
    {
        return 10;
    }
}
