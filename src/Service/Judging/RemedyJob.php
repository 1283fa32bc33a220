<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Service\Work\Job;

/** What would help a margin of a plan most. */
final readonly class RemedyJob implements Job
{
    /** @param string $plan its document */
    public function __construct(public string $plan, public MarginId $margin, public UnitSystem $units)
    {
    }

    public function key(): string
    {
        return implode('.', ['helps', $this->margin->value, $this->units->value, hash('xxh128', $this->plan)]);
    }

    public function cost(): int
    {
        return 6;
    }
}
