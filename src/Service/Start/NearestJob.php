<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Service\Work\Job;

/** The wish next to one for which no plan holds. */
final readonly class NearestJob implements Job
{
    /** @param string $wish its document */
    public function __construct(public string $wish, public Taste $taste, public UnitSystem $units)
    {
    }

    public function key(): string
    {
        return implode('.', ['nearest', $this->taste->value, $this->units->value, hash('xxh128', $this->wish)]);
    }

    public function cost(): int
    {
        return 60;
    }
}
