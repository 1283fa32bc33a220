<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** How a plant comes out again. */
enum Removal: string
{
    case Easy = 'easy';
    case Fiddly = 'fiddly';
    case Hard = 'hard';

    public function words(): string
    {
        return match ($this) {
            self::Easy => 'comes out easily',
            self::Fiddly => 'is fiddly to get rid of',
            self::Hard => 'tears up the bed when pulled',
        };
    }
}
