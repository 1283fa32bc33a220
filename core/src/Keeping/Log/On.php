<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

/** On what a sign is seen. */
enum On: string
{
    case Plants = 'Plants';
    case Water = 'Water and bed';
    case Algae = 'Algae';
    case Animals = 'Animals';
    case Guests = 'Guests and snails';

    /** On what it may be seen: "clump", "group", or null where it is of the whole tank. */
    public function of(): ?string
    {
        return match ($this) {
            self::Plants, self::Algae => 'clump',
            self::Animals => 'group',
            default => null,
        };
    }
}
