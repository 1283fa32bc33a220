<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/** The little grammar that sentences with numbers in them need. */
final class Words
{
    /** Words whose first letter stays small wherever they stand. */
    private const SMALL = '/^pH\b/';

    /** A text as a sentence begins: with a capital, but for "pH". */
    public static function capital(string $text): string
    {
        return 1 === preg_match(self::SMALL, $text) ? $text : mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }

    /** The word for one thing, or for any other number of it; how many is not said. */
    public static function plural(int|float $count, string $one, ?string $many = null): string
    {
        if (1 === $count || 1.0 === $count) {
            return $one;
        }

        return $many ?? match (true) {
            1 === preg_match('/(s|x|ch|sh)$/', $one) => $one.'es',
            1 === preg_match('/[^aeiou]y$/', $one) => substr($one, 0, -1).'ies',
            default => $one.'s',
        };
    }

    /** "1 kind", "3 kinds". */
    public static function count(int $count, string $one, ?string $many = null): string
    {
        return $count.' '.self::plural($count, $one, $many);
    }

    /** A kind of animals as so many of it are called within a sentence: "ramshorn snail", "ramshorn snails", "cherry shrimp". */
    public static function animals(int $count, string $kind): string
    {
        $name = self::within($kind);

        // "Two cherry shrimp, six pygmy corydoras".
        return 1 === preg_match('/(fish|shrimp|s)$/', $name) ? $name : self::plural($count, $name);
    }

    /** "every day", "every week", "every 10 days". */
    public static function every(int $days): string
    {
        return match ($days) {
            1 => 'every day',
            7 => 'every week',
            default => "every $days days",
        };
    }

    /** First words of kinds' names that are people and places, and so keep their capital. */
    private const PROPER = [
        'African', 'Amano', 'Amazon', 'American', 'Asian', 'Beckett’s', 'Brazilian', 'Canadian', 'Chinese', 'Christmas', 'Daisy’s', 'Day’s',
        'Endler’s', 'European', 'Everglades', 'Gay’s', 'Haertel’s', 'Japanese', 'Java', 'Kuhli', 'Mato', 'Mexican', 'Monte', 'Nuttall’s',
        'Swiss', 'Wendt’s',
    ];

    /** A kind's name within a sentence: "cherry shrimp", "Endler’s guppy". */
    public static function within(string $name): string
    {
        return \in_array(explode(' ', $name)[0], self::PROPER, true) ? $name : lcfirst($name);
    }

    /** The first letter in any text that is written small, where a sentence goes on with it. */
    public static function small(string $text): string
    {
        return 1 === preg_match('/^[A-Z]{2}/', $text) ? $text : lcfirst($text);
    }

    /**
     * "a", "a and b", "a, b and c".
     *
     * @param list<string> $parts
     */
    public static function list(array $parts): string
    {
        return \count($parts) < 2 ? implode('', $parts) : implode(', ', \array_slice($parts, 0, -1)).' and '.$parts[\count($parts) - 1];
    }
}
