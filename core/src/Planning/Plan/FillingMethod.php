<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** How water is let in over a new bed. */
enum FillingMethod: string implements Worded
{
    case Undecided = 'undecided';
    case Plate = 'plate';
    case Hose = 'hose';
    case Pour = 'pour';
    case Sink = 'sink';

    public function words(): string
    {
        return match ($this) {
            self::Undecided => 'not decided',
            self::Plate => 'slowly over a plate or bag',
            self::Hose => 'slowly through a thin hose',
            self::Pour => 'poured in',
            self::Sink => 'sunk in a tub, and closed under water',
        };
    }
}
