<?php

declare(strict_types=1);

namespace Olvek\Site;

/** Moments as strangers write them. */
final class Moment
{
    /** Reads a moment in a format of PHP's; null where it is none: PHP itself throws where a text holds a null byte. */
    public static function read(string $format, string $text, ?\DateTimeZone $zone = null): ?\DateTimeImmutable
    {
        $at = str_contains($text, "\0") ? false : \DateTimeImmutable::createFromFormat($format, $text, $zone);

        return false === $at ? null : $at;
    }
}
