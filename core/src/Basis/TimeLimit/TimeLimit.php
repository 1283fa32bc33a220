<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\TimeLimit;

/** How long somebody waits for an answer. It is asked before each year that is run, so that it is overrun by one run at most. */
interface TimeLimit
{
    public function isSpent(): bool;
}
