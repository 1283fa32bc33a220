<?php

declare(strict_types=1);

namespace Olvek\Core\Event;

use Olvek\Core\Field\InvalidValue;

/** An event with a date. */
abstract readonly class Dated implements Event
{
    /**
     * @param int $day after filling
     *
     * @throws InvalidValue
     */
    public function __construct(public int $day)
    {
        if ($day < 0) {
            throw new InvalidValue(static::class, ['day']);
        }
        InvalidValue::unlessSound($this);
    }

    final public function due(int $day, Tank $tank): bool
    {
        return $day === $this->day;
    }
}
