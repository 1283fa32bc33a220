<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** An event with a date. */
abstract readonly class Dated implements Event
{
    public function __construct(public int $on)
    {
    }

    final public function due(int $day, State $state, Facts $facts): bool
    {
        return $day === $this->on;
    }
}
