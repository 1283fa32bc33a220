<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** The broad shape by which animals are drawn and grouped. */
enum AnimalShape: string
{
    case Fish = 'fish';
    case Shrimp = 'shrimp';
    case Snail = 'snail';
    case Worm = 'worm';
    case Insect = 'insect';

    /** When it comes, where nothing else decides: those that clean first, those that others eat or that eat others last. C. */
    public function turn(): int
    {
        return match ($this) {
            self::Snail, self::Worm => 0,
            self::Shrimp => 1,
            self::Fish => 2,
            self::Insect => 3,
        };
    }
}
