<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

/** Short texts that people type and others read: no control characters, and nothing that turns the direction of what follows. */
final class PlainText
{
    /** C0, C1, zero-width and directional marks, isolates and overrides, and what is no character. */
    private const HIDDEN = '/[\x{0}-\x{1F}\x{7F}-\x{9F}\x{200B}\x{200E}\x{200F}\x{2028}-\x{202E}'
        .'\x{2060}-\x{2069}\x{FEFF}\x{FFF9}-\x{FFFB}]/u';

    /** Why a text cannot be taken as one line; null where it can. */
    public static function fault(string $text, int $most, string $what = 'This'): ?string
    {
        return match (true) {
            !mb_check_encoding($text, 'UTF-8') => "$what holds bytes that are no text. Type it anew.",
            mb_strlen($text) > $most => \sprintf('%s has at most %d characters; these are %d.', $what, $most, mb_strlen($text)),
            1 === preg_match(self::HIDDEN, $text) => "$what holds characters that nobody can see, such as line ends. Type it anew, on one "
                .'line.',
            default => null,
        };
    }

    /** The same of a text that may have several lines. */
    public static function faultOfLines(string $text, int $most, string $what = 'This'): ?string
    {
        return self::fault(str_replace("\n", ' ', $text), $most, $what);
    }
}
