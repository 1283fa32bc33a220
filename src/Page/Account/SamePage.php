<?php

declare(strict_types=1);

namespace Olvek\Page\Account;

/** Addresses that a form may lead back to: only paths of this site, so that it cannot be used to send people elsewhere. */
final class SamePage
{
    public static function orHome(string $path): string
    {
        return 1 === preg_match('#^/(?![/\\\\])[^\x00-\x20]{0,300}$#D', $path) && mb_check_encoding($path, 'UTF-8') ? $path : '/';
    }
}
