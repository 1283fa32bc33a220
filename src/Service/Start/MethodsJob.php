<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Work\Job;

/** All methods in the vessel of a plan. */
final readonly class MethodsJob implements Job
{
    /** @param string $plan its document */
    public function __construct(public string $plan, public UnitSystem $units)
    {
    }

    public function key(): string
    {
        return implode('.', ['methods', $this->units->value, hash('xxh128', $this->plan)]);
    }

    public function cost(): int
    {
        return 10;
    }
}
