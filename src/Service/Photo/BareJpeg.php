<?php

declare(strict_types=1);

namespace Olvek\Service\Photo;

/**
 * Whether a JPEG holds nothing but its picture, as the darkroom writes it: no place, no maker, no other file before, within or behind it.
 * One that came back in a file of Olvek's can then be kept byte for byte; written anew it would lose a little each time.
 */
final class BareJpeg
{
    /** Markers of what a picture is made of: tables, frame heads, scan heads; and JFIF's own. */
    private const PICTURE = [0xC0, 0xC2, 0xC4, 0xDA, 0xDB, 0xDD, 0xE0];
    private const START_OF_SCAN = 0xDA;
    private const JFIF = 0xE0;
    /** JFIF's head without a thumbnail. */
    private const JFIF_BYTES = 16;
    private const COMMENT = 0xFE;
    private const END = 0xD9;
    /** What the library writes by itself into each picture. */
    private const OWN_COMMENT = '/^CREATOR: gd-jpeg v[\d.]+ \(using IJG JPEG v\d+\), [a-z =\d]{1,30}\n?$/D';

    public static function is(string $bytes): bool
    {
        if (!str_starts_with($bytes, "\xFF\xD8")) {
            return false;
        }
        $at = 2;
        $length = \strlen($bytes);
        while ($at + 4 <= $length && "\xFF" === $bytes[$at]) {
            $marker = \ord($bytes[$at + 1]);
            $size = (\ord($bytes[$at + 2]) << 8) + \ord($bytes[$at + 3]);
            $body = substr($bytes, $at + 4, max(0, $size - 2));
            $fits = match ($marker) {
                self::COMMENT => 1 === preg_match(self::OWN_COMMENT, $body),
                self::JFIF => str_starts_with($body, "JFIF\0") && self::JFIF_BYTES === $size,
                default => \in_array($marker, self::PICTURE, true),
            };
            if (!$fits || $size < 2) {
                return false;
            }
            $at += 2 + $size;
            if (self::START_OF_SCAN === $marker) {
                // The scan's own bytes: a marker within them is written behind a zero, or begins a new stretch of it.
                preg_match('/\xFF(?![\x00\xD0-\xD7])./s', $bytes, $next, \PREG_OFFSET_CAPTURE, $at);
                $at = $next[0][1] ?? $length;
            }
            if ("\xFF".\chr(self::END) === substr($bytes, $at, 2)) {
                return $at + 2 === $length;
            }
        }

        return false;
    }
}
