<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Service\Work\Job;

/** A plan for a wish, after one taste. */
final readonly class ComposeJob implements Job
{
    /** @param string $wish its document */
    public function __construct(public string $wish, public Taste $taste, public UnitSystem $units)
    {
    }

    public function key(): string
    {
        return implode('.', ['compose', $this->taste->value, $this->units->value, hash('xxh128', $this->wish)]);
    }

    public function cost(): int
    {
        return 20;
    }
}
