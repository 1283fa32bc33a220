<?php

declare(strict_types=1);

namespace Olvek\Core\Event;

/** An event with a date. */
abstract readonly class Dated implements Event
{
    /** @param int $day after filling */
    public function __construct(public int $day)
    {
    }

    final public function due(int $day, Tank $tank): bool
    {
        return $day === $this->day;
    }
}
