<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/** In which order people write day, month and year. Months by their English names are read in any of them. */
enum DayFormat: string
{
    case YearFirst = 'ymd';
    case DayFirst = 'dmy';
    case MonthFirst = 'mdy';

    private const MONTHS = ['jan' => 1, 'feb' => 2, 'mar' => 3, 'apr' => 4, 'may' => 5, 'jun' => 6,
        'jul' => 7, 'aug' => 8, 'sep' => 9, 'oct' => 10, 'nov' => 11, 'dec' => 12];

    /** The same day, written so. */
    public function example(): string
    {
        return match ($this) {
            self::YearFirst => '2026-05-24',
            self::DayFirst => '24.05.2026 or 24/05/2026',
            self::MonthFirst => '05/24/2026',
        };
    }

    /** A day at midnight in UTC; a time behind it is left out. null where the text is no day that is written so. */
    public function read(string $typed): ?\DateTimeImmutable
    {
        $text = (string) preg_replace('/[T ,]+\d{1,2}:\d{2}.*$/', '', trim($typed));
        $parts = self::named($text) ?? $this->numbers($text);
        if (null === $parts) {
            return null;
        }
        [$year, $month, $day] = $parts;
        $year += $year < 100 ? 2000 : 0;

        return $year >= 1900 && $year <= 2999 && checkdate($month, $day, $year)
            ? (new \DateTimeImmutable('@0'))->setDate($year, $month, $day)->setTime(0, 0)
            : null;
    }

    /**
     * The ways in which every one of the texts is a day, without those that only read the same days once more.
     *
     * @param list<string> $texts
     *
     * @return list<self>
     */
    public static function fitting(array $texts): array
    {
        $fitting = [];
        foreach ([] === $texts ? [] : self::cases() as $format) {
            $days = [];
            foreach ($texts as $text) {
                $day = $format->read($text)?->format('Y-m-d');
                if (null === $day) {
                    continue 2;
                }
                $days[] = $day;
            }
            $fitting[hash('xxh128', implode(' ', $days))] ??= $format;
        }

        return array_values($fitting);
    }

    /** @return array{int, int, int}|null year, month, day of "24 May 2026", "24-May-26", "May 24, 2026" */
    private static function named(string $text): ?array
    {
        if (1 === preg_match('/^(\d{1,2})[. -]+([a-z]{3,9})\.?[, -]+(\d{4}|\d{2})$/iD', $text, $match)) {
            [, $day, $name, $year] = $match;
        } elseif (1 === preg_match('/^([a-z]{3,9})\.?[ -]+(\d{1,2})[, -]+(\d{4}|\d{2})$/iD', $text, $match)) {
            [, $name, $day, $year] = $match;
        } else {
            return null;
        }
        $month = self::MONTHS[strtolower(substr($name, 0, 3))] ?? null;

        return null === $month ? null : [(int) $year, $month, (int) $day];
    }

    /** @return array{int, int, int}|null year, month, day */
    private function numbers(string $text): ?array
    {
        $pattern = match ($this) {
            self::YearFirst => '~^(\d{4})([-/.])(\d{1,2})\2(\d{1,2})$~D',
            self::DayFirst => '~^(\d{1,2})([-/.])(\d{1,2})\2(\d{4}|\d{2})$~D',
            // Nobody writes the month first before a point.
            self::MonthFirst => '~^(\d{1,2})([-/])(\d{1,2})\2(\d{4}|\d{2})$~D',
        };
        if (1 !== preg_match($pattern, $text, $match)) {
            return null;
        }
        [, $first, , $second, $third] = array_map(intval(...), $match);

        return match ($this) {
            self::YearFirst => [$first, $second, $third],
            self::DayFirst => [$third, $second, $first],
            self::MonthFirst => [$third, $first, $second],
        };
    }
}
