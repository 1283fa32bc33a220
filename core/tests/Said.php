<?php

declare(strict_types=1);

namespace Olvek\Core\Tests;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Keeping\Log\KitReading;

/** Messages as tests compare them: "mistake.support(mass: 120000, limit: 80000)", amounts on their base scales. */
final class Said
{
    public static function plain(Message $message): string
    {
        $values = [];
        foreach ($message->values as $name => $value) {
            $values[] = "$name: ".self::value($value);
        }

        return $message->id.([] === $values ? '' : '('.implode(', ', $values).')');
    }

    /** @param list<Message> $messages */
    public static function all(array $messages): string
    {
        return implode(' ', array_map(self::plain(...), $messages));
    }

    private static function value(mixed $value): string
    {
        return match (true) {
            $value instanceof Message => self::plain($value),
            $value instanceof Amount => self::value($value->base).(null === $value->to ? '' : '–'.self::value($value->to)),
            $value instanceof KitReading => self::value($value->value),
            \is_array($value) => '['.implode(', ', array_map(self::value(...), $value)).']',
            \is_float($value) => (string) round($value, 4),
            \is_scalar($value) => (string) $value,
            default => throw new \LogicException(get_debug_type($value)),
        };
    }
}
