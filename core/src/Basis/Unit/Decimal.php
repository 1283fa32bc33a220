<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/** Numbers as text: rounded, without noise, with a true minus sign. */
final class Decimal
{
    /** At most $decimals digits after the point, trailing zeros dropped: 2.50 → "2.5". */
    public static function trimmed(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');
        if ($decimals > 0) {
            $text = rtrim(rtrim($text, '0'), '.');
        }

        return self::signed($text);
    }

    /** Rounded to $digits significant figures: 0.01234 → "0.012", 1234 → "1200". */
    public static function significant(float $value, int $digits): string
    {
        if (0.0 === $value) {
            return '0';
        }
        $decimals = $digits - 1 - (int) floor(log10(abs($value)));
        $rounded = round($value, $decimals);
        // 9.99 is 10 to two figures, not 10.0.
        $decimals = $digits - 1 - (int) floor(log10(abs($rounded)));

        return self::signed(number_format($rounded, max(0, $decimals), '.', ''));
    }

    private static function signed(string $text): string
    {
        if ('-' !== ($text[0] ?? '')) {
            return $text;
        }

        return 0.0 === (float) $text ? ltrim($text, '-') : "\u{2212}".substr($text, 1);
    }
}
