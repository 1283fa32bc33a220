<?php

declare(strict_types=1);

namespace Olvek\Service\Speech;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\KitReading;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Says what the core has found: the one place where ids and values become sentences, in a keeper's units. */
final readonly class Speech
{
    /** translations/core+intl-icu.LOCALE.yaml */
    public const DOMAIN = 'core';
    /** Values that are names of kinds. */
    private const NAMES = ['kind', 'kinds', 'other', 'plant', 'plants', 'animal', 'animals'];

    public function __construct(private TranslatorInterface $translator)
    {
    }

    public function say(Message $message, UnitSystem $units, ?string $locale = null): string
    {
        $values = [];
        // A list that the text goes on with "and 2 more" has no "and" of its own.
        $goesOn = ($message->values['more'] ?? 0) > 0;
        foreach ($message->values as $name => $value) {
            $named = \in_array($name, self::NAMES, true) ? self::within($value) : $value;
            $values[$name] = $this->value($named, $units, $locale, $goesOn);
        }
        $text = $this->translator->trans($message->id, $values, self::DOMAIN, $locale);

        // A sentence that begins with a name begins with a capital.
        return [] === array_filter(
            array_intersect_key($values, array_flip(self::NAMES)),
            static fn (string|int|float $name): bool => \is_string($name) && '' !== $name && str_starts_with($text, $name),
        ) ? $text : Words::capital($text);
    }

    /** Names of kinds as they stand within a sentence. */
    private static function within(mixed $names): mixed
    {
        return match (true) {
            \is_string($names) => Words::within($names),
            \is_array($names) => array_map(self::within(...), $names),
            default => $names,
        };
    }

    /** @param list<Message> $messages each a sentence */
    public function sayAll(array $messages, UnitSystem $units): string
    {
        return implode(' ', array_map(fn (Message $message): string => $this->say($message, $units), $messages));
    }

    /**
     * A message as data, for programs: its id and values on base scales, and the sentence beside them.
     *
     * @return array{id: string, values: array<string, mixed>, text: string}
     */
    public function data(Message $message, UnitSystem $units): array
    {
        return [
            'id' => $message->id,
            'values' => array_map(fn (mixed $value): mixed => $this->plain($value, $units), $message->values),
            'text' => $this->say($message, $units),
        ];
    }

    private function plain(mixed $value, UnitSystem $units): mixed
    {
        return match (true) {
            $value instanceof Amount => null === $value->to ? $value->base : [$value->base, $value->to],
            $value instanceof KitReading => ['measure' => $value->measure->value, 'value' => $value->value],
            $value instanceof Message => $this->data($value, $units),
            \is_array($value) => array_map(fn (mixed $one): mixed => $this->plain($one, $units), $value),
            default => $value,
        };
    }

    private function value(mixed $value, UnitSystem $units, ?string $locale, bool $goesOn = false): string|int|float
    {
        return match (true) {
            $value instanceof Amount => self::amount($value, $units),
            $value instanceof KitReading => $value->kit->show($value->measure, $value->value),
            $value instanceof Message => $this->say($value, $units, $locale),
            \is_array($value) => self::listed(
                array_map(fn (mixed $one): string => (string) $this->value($one, $units, $locale), array_values($value)),
                $goesOn,
            ),
            \is_string($value), \is_int($value), \is_float($value) => $value,
            default => throw new \LogicException('A message can’t say a '.get_debug_type($value).'.'),
        };
    }

    /**
     * "a, b and c", or with semicolons where one has a comma of its own.
     *
     * @param list<string> $parts
     * @param bool         $goesOn "a, b, c", since more follows
     */
    private static function listed(array $parts, bool $goesOn): string
    {
        return match (true) {
            [] !== preg_grep('/,/', $parts) => implode('; ', $parts),
            $goesOn => implode(', ', $parts),
            default => Words::list($parts),
        };
    }

    private static function amount(Amount $amount, UnitSystem $units): string
    {
        if (null !== $amount->to) {
            $from = Decimal::trimmed($units->unitFor($amount->dimension)->fromBase($amount->base), $amount->decimals);

            return $from.'–'.$units->show($amount->dimension, $amount->to, $amount->decimals);
        }

        if ($amount->thin) {
            $isMetric = UnitSystem::Metric === $units;

            return UnitSystem::in($isMetric ? Unit::Millimetre : Unit::Inch, $amount->base, $amount->decimals + ($isMetric ? 0 : 1));
        }

        if (null !== $amount->figures) {
            return $units->about($amount->dimension, $amount->base, $amount->figures);
        }

        return [] === $amount->besides
            ? $units->show($amount->dimension, $amount->base, $amount->decimals)
            : $units->apart($amount->dimension, [$amount->base, ...$amount->besides], $amount->decimals)[0];
    }
}
