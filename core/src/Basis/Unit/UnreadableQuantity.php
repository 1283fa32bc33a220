<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

use Olvek\Core\CoreException;

/** A typed quantity that cannot be read; the message tells the keeper what to type instead. */
final class UnreadableQuantity extends \InvalidArgumentException implements CoreException
{
    public static function empty(Unit $example): self
    {
        return new self(\sprintf('Type a number, for example “%s”.', trim('10 '.$example->symbol())));
    }

    public static function notANumber(string $typed, Unit $example): self
    {
        return new self(
            \sprintf(
                '“%s” is not a number Olvek can read. Type for example “%s”.',
                self::excerpt($typed),
                trim('10 '.$example->symbol()),
            ),
        );
    }

    public static function unknownUnit(string $name, Unit $example): self
    {
        return new self(
            \sprintf(
                '“%s” is not a unit Olvek knows here. Try “%s”.',
                self::excerpt($name),
                '' === $example->symbol() ? 'a bare number' : $example->symbol(),
            ),
        );
    }

    /** Digits in groups: with one comma they may as well be a decimal. */
    public static function grouped(string $typed): self
    {
        $digits = (string) preg_replace('/\D/u', '', $typed);
        if (1 === preg_match('/^\d+,\d{3}$/', $typed)) {
            return new self(
                \sprintf(
                    'Does “%s” mean %s or %s? Type it without a separator.',
                    $typed,
                    Decimal::trimmed((float) str_replace(',', '.', $typed), 3),
                    $digits,
                ),
            );
        }

        return new self(
            \sprintf('“%s” has separators between its digits. Type it without them, with a point before decimals.', self::excerpt($typed)),
        );
    }

    /** "<50" says only where a reading is not. */
    public static function onlyBelow(string $typed): self
    {
        return new self(
            \sprintf('“%s” says only what it is below. Type what the test shows, or 0 where it shows nothing.', self::excerpt($typed)),
        );
    }

    public static function mismatch(Unit $from, Unit $to): self
    {
        return new self(
            \sprintf('%s measures %s, but %s measures %s.', $from->value, $from->dimension()->value, $to->value, $to->dimension()->value),
        );
    }

    private static function excerpt(string $typed): string
    {
        return mb_strlen($typed) > 40 ? mb_substr($typed, 0, 40).'…' : $typed;
    }
}
