<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

/** Moments as strangers write them. */
final class Moment
{
    /** Reads a moment in a format of PHP's; null where it is none: PHP itself throws where a text holds a null byte. */
    public static function read(string $format, string $text, ?\DateTimeZone $zone = null): ?\DateTimeImmutable
    {
        $at = str_contains($text, "\0") ? false : \DateTimeImmutable::createFromFormat($format, $text, $zone);

        return false === $at ? null : $at;
    }

    /**
     * A moment as RFC 3339 writes it, with or without fractions of a second, "T" and "Z" in either case; null where it is none: also where
     * hours, minutes or the offset are beyond what a clock has.
     */
    public static function rfc3339(string $text): ?\DateTimeImmutable
    {
        $clock = '(?:[01]\d|2[0-3]):[0-5]\d';
        if (1 !== preg_match("/^(\d{4}-\d\d-\d\d)[Tt]($clock):([0-5]\d|60)(?:\.(\d{1,12}))?([Zz]|[+-]$clock)\$/D", $text, $match)) {
            return null;
        }
        [, $day, $minute, $second, $fraction, $zone] = $match;
        // A leap second is the last moment of its minute: PHP's days have none.
        $second = '60' === $second ? '59' : $second;
        $fraction = substr(str_pad($fraction, 6, '0'), 0, 6);
        $zone = 'Z' === strtoupper($zone) ? '+00:00' : $zone;
        $at = \DateTimeImmutable::createFromFormat('Y-m-d H:i:s.u P', "$day $minute:$second.$fraction $zone");

        return false !== $at && $at->format('Y-m-d') === $day ? $at : null;
    }
}
