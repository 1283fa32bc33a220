<?php

declare(strict_types=1);

namespace Olvek\Tests;

/** Files that a test has left behind. */
final class Files
{
    /** @return list<string> */
    public static function like(string $pattern): array
    {
        $found = glob($pattern);

        return false === $found ? [] : $found;
    }

    public static function remove(string $pattern): void
    {
        array_map(unlink(...), self::like($pattern));
    }
}
