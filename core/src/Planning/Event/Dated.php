<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\InvalidValue;

/** An event with a date. */
abstract readonly class Dated implements Event
{
    /** Last day after filling on which anything can be planned, and longest stretch: three years. J. */
    public const LAST_DAY = 1095;
    /** Animals that can come, go or be counted at once, and pieces of a plant. J: beyond them a digit was slipped. */
    public const MOST_ANIMALS = 5000;
    public const MOST_PIECES = 5000;

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
