<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\TimeLimit;

/** Waits until all has been tried. */
final class NoTimeLimit implements TimeLimit
{
    public function isSpent(): bool
    {
        return false;
    }
}
