<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Service\Work\Job;

/** What averts a harm of a plan. */
final readonly class AvertingJob implements Job
{
    /** @param string $plan its document */
    public function __construct(public string $plan, public HarmId $harm, public UnitSystem $units)
    {
    }

    public function key(): string
    {
        return implode('.', ['averts', $this->harm->value, $this->units->value, hash('xxh128', $this->plan)]);
    }

    public function cost(): int
    {
        return 8;
    }
}
