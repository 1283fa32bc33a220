<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Unit\DayFormat;
use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Problem;

/**
 * A logbook as a file (CSV, RFC 4180): "kind", "what", "amount", "of", and the day, as "after_filling" (a number) or as "day" (a date,
 * where it is told when the tank was filled). Other columns are left alone.
 */
final class LogFile
{
    private const KINDS = [
        LogBuilder::READING,
        LogBuilder::DONE,
        LogBuilder::SIGHTING,
        LogBuilder::NOTE,
        LogBuilder::TRIED,
        LogBuilder::CAME,
    ];

    /**
     * @param \DateTimeImmutable|null $filled day of filling, for files that have dates alone
     *
     * @throws InvalidPlan with the line of every fault
     */
    public static function read(string $text, ?\DateTimeImmutable $filled = null): Log
    {
        $table = TextTable::read($text);
        if (!$table->has(['kind', 'what'])) {
            throw new InvalidPlan([new Problem('line 1', 'A logbook has columns kind, what, amount, of, and day or after_filling.')]);
        }
        $rows = iterator_to_array($table->named(['kind', 'what', 'amount', 'of', 'day', 'after_filling']));
        // A spreadsheet may have written the days in its own way.
        $format = DayFormat::fitting(array_values(array_filter(array_column($rows, 'day'), static fn (string $day): bool => '' !== $day)));
        $builder = new LogBuilder();
        $problems = [];
        foreach ($rows as $line => $row) {
            $of = static fn (string $name): string => trim($row[$name] ?? '');
            $amount = '' === $of('amount') ? null : TextTable::number($of('amount'));
            $day = self::day($of('after_filling'), $of('day'), $filled, 1 === \count($format) ? $format[0] : DayFormat::YearFirst);
            if (\is_string($day)) {
                $problems[] = new Problem("line $line", $day);
                continue;
            }
            $fault = match (true) {
                !\in_array($of('kind'), self::KINDS, true) => 'The kind is one of '.implode(', ', self::KINDS).'.',
                '' !== $of('amount') && null === $amount => 'The amount isn’t a number.',
                LogBuilder::READING === $of('kind') && null === Measure::tryFrom($of('what')) => 'What is read is one of '
                    .implode(', ', array_column(Measure::cases(), 'value')).'.',
                LogBuilder::SIGHTING === $of('kind') && !self::isSeen($of('what')) => 'What is seen is algae or a sign (olvek:signs).',
                default => null,
            };
            if (null !== $fault) {
                $problems[] = new Problem("line $line", $fault);
                continue;
            }
            $builder->add(
                $day,
                $of('kind'),
                $of('what'),
                $amount,
                '' === $of('of') ? null : $of('of'),
            );
        }
        if ([] !== $problems) {
            throw new InvalidPlan($problems);
        }

        return $builder->log();
    }

    private static function isSeen(string $what): bool
    {
        return LogBuilder::ALGAE === $what || null !== Sign::tryFrom($what);
    }

    /** @return int|string after filling, or why it is none */
    private static function day(string $number, string $date, ?\DateTimeImmutable $filled, DayFormat $format): int|string
    {
        if ('' !== $number) {
            return ctype_digit($number) && \strlen($number) <= 4 && (int) $number <= Plan::LAST_DAY
                ? (int) $number
                : \sprintf('after_filling is a whole number from 0 to %d.', Plan::LAST_DAY);
        }
        $on = $format->read($date);
        if (null === $on) {
            return 'Write the day as a date, 2026-05-24.';
        }
        if (null === $filled) {
            return 'This line has a date alone: say when the tank was filled.';
        }
        $day = (int) $filled->diff($on)->format('%r%a');

        return $day < 0 || $day > Plan::LAST_DAY
            ? \sprintf('This day is not within %d days after filling.', Plan::LAST_DAY)
            : $day;
    }
}
