<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Work\Job;

/** Which of a plan's uncertain numbers decide it. */
final readonly class DecidingJob implements Job
{
    /** @param string $plan its document */
    public function __construct(public string $plan, public UnitSystem $units)
    {
    }

    public function key(): string
    {
        return implode('.', ['deciding', $this->units->value, hash('xxh128', $this->plan)]);
    }

    public function cost(): int
    {
        return 4;
    }
}
