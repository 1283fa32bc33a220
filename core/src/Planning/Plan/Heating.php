<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** What keeps the water warm. */
enum Heating: string implements Worded
{
    case None = 'none';
    case Room = 'room';
    case Tank = 'tank';

    public function words(): string
    {
        return match ($this) {
            self::None => 'unheated',
            self::Room => 'the room is heated',
            self::Tank => 'a heater in the tank',
        };
    }
}
