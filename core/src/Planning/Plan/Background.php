<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** What is seen behind the tank. */
enum Background: string implements Worded
{
    case None = 'none';
    case Black = 'black';
    case Plain = 'plain';
    case Frosted = 'frosted';

    public function words(): string
    {
        return match ($this) {
            self::None => 'none',
            self::Black => 'black card or film',
            self::Plain => 'plain card or film',
            self::Frosted => 'frosted film',
        };
    }
}
