<?php

declare(strict_types=1);

namespace Olvek\Core\Unit;

/** A typed quantity that cannot be read; the message tells the keeper what to type instead. */
final class UnreadableQuantity extends \InvalidArgumentException
{
    public static function empty(Unit $example): self
    {
        return new self(\sprintf('Type a number, for example “%s”.', trim('10 '.$example->symbol())));
    }

    public static function notANumber(string $typed, Unit $example): self
    {
        return new self(\sprintf('“%s” is not a number Olvek can read. Type for example “%s”.', self::excerpt($typed), trim('10 '.$example->symbol())));
    }

    public static function unknownUnit(string $name, Unit $example): self
    {
        return new self(\sprintf('“%s” is not a unit Olvek knows here. Try “%s”.', self::excerpt($name), '' === $example->symbol() ? 'a bare number' : $example->symbol()));
    }

    public static function mismatch(Unit $from, Unit $to): self
    {
        return new self(\sprintf('%s measures %s, but %s measures %s.', $from->value, $from->dimension()->value, $to->value, $to->dimension()->value));
    }

    private static function excerpt(string $typed): string
    {
        return mb_strlen($typed) > 40 ? mb_substr($typed, 0, 40).'…' : $typed;
    }
}
