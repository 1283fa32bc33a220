<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\Unit\DayFormat;
use Olvek\Core\Basis\Unit\TextTable;

/** What a table looks like, all of its rows counted: whose it is, what its columns are likely to hold, how its days are written. */
final readonly class TableLook
{
    /** A logbook, and readings with what was expected, as Olvek writes them; a table by anybody. */
    public const LOG = 'log';
    public const CHARTS = 'charts';
    public const FOREIGN = '';
    public const LOG_COLUMNS = ['day', 'kind', 'what', 'amount', 'of', 'words'];
    public const CHARTS_COLUMNS = ['date', 'measure', 'of', 'value'];
    /** Columns of a table that are looked at: more than any keeper fills. J. */
    public const MOST_COLUMNS = 60;
    private const SAMPLE = 4;

    /**
     * @param list<string>       $names
     * @param list<list<string>> $sample  the first rows
     * @param list<string>       $guesses by column
     * @param list<DayFormat>    $days    ways in which every day can be read; with none, or several, one has to be chosen
     */
    private function __construct(
        public string $kind,
        public array $names,
        public array $sample,
        public array $guesses,
        public array $days,
        public int $lines,
    ) {
    }

    /**
     * @param \DateTimeImmutable|null $filled between which and today days of a logbook lie
     * @param int|null                $column that holds the day, where the keeper has chosen one
     */
    public static function at(string $text, ?\DateTimeImmutable $filled, \DateTimeImmutable $today, ?int $column = null): self
    {
        $table = TextTable::read($text);
        $kind = match (true) {
            $table->has(self::LOG_COLUMNS) => self::LOG,
            $table->has(self::CHARTS_COLUMNS) => self::CHARTS,
            default => self::FOREIGN,
        };
        $guesses = array_map(static fn (string $name): string => ImportColumn::guess($name), $table->names);
        $at = match ($kind) {
            self::LOG => array_search('day', $table->names, true),
            self::CHARTS => array_search('date', $table->names, true),
            default => $column ?? array_search(ImportColumn::DAY, $guesses, true),
        };
        $sample = $cells = [];
        $lines = 0;
        foreach ($table->rows() as $row) {
            if (\count($sample) < self::SAMPLE) {
                $sample[] = $row;
            }
            $cell = false === $at ? '' : trim($row[$at] ?? '');
            if ('' !== $cell) {
                $cells[$cell] = true;
            }
            ++$lines;
        }

        return new self($kind, $table->names, $sample, $guesses, self::days(array_keys($cells), $filled, $today), $lines);
    }

    /**
     * @param list<string|int> $cells each once
     *
     * @return list<DayFormat>
     */
    private static function days(array $cells, ?\DateTimeImmutable $filled, \DateTimeImmutable $today): array
    {
        $cells = array_map(strval(...), $cells);
        $fitting = DayFormat::fitting($cells);
        // A day before the filling or ahead cannot be meant, where there is another way of reading it.
        $possible = array_values(array_filter($fitting, static function (DayFormat $format) use ($cells, $filled, $today): bool {
            foreach ($cells as $cell) {
                $day = $format->read($cell);
                if (null === $day || $day > $today || (null !== $filled && $day < $filled)) {
                    return false;
                }
            }

            return true;
        }));

        return [] === $possible ? $fitting : $possible;
    }
}
