<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** What is done to tap water before it goes in. */
enum Treatment: string implements Worded
{
    case Undecided = 'undecided';
    case Dechlorinated = 'dechlorinated';
    case Stood = 'stood';
    case Unchlorinated = 'unchlorinated';

    public function words(): string
    {
        return match ($this) {
            self::Undecided => 'not decided',
            self::Dechlorinated => 'treated for chlorine and chloramine',
            self::Stood => 'left to stand for a day',
            self::Unchlorinated => 'has no chlorine: rain, spring or tank water',
        };
    }
}
