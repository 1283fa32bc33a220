<?php

declare(strict_types=1);

namespace Olvek\Service\Photo;

/** How large a photo is kept: to look at, in a page, in a strip. */
enum PhotoSize: string
{
    case Large = 'large';
    case Page = 'page';
    case Strip = 'strip';

    /** Pixels of its longer side at most; smaller ones are not blown up. */
    public function pixels(): int
    {
        return match ($this) {
            self::Large => 1600,
            self::Page => 720,
            self::Strip => 240,
        };
    }
}
