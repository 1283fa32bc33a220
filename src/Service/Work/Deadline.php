<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

use Olvek\Core\Basis\TimeLimit\TimeLimit;

/** Patience by the clock on the wall. */
final readonly class Deadline implements TimeLimit
{
    private float $until;

    public function __construct(float $seconds)
    {
        $this->until = microtime(true) + $seconds;
    }

    public function isSpent(): bool
    {
        return microtime(true) >= $this->until;
    }
}
