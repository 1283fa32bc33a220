<?php

declare(strict_types=1);

namespace Olvek\Log;

use Olvek\Account\Keeper;
use Olvek\Account\Today;
use Olvek\Build\BuildRecords;
use Olvek\Core\Event\EventKind;
use Olvek\Core\Log\Cause;
use Olvek\Core\Log\LogBuilder;
use Olvek\Core\Log\Sign;
use Olvek\Core\Log\TestKit;
use Olvek\Core\Sign\Knowledge;
use Olvek\Core\Unit\QuantityReader;
use Olvek\Core\Unit\UnreadableQuantity;
use Olvek\Core\Water\Measure;
use Olvek\Site\Csv;
use Olvek\Site\PlainText;
use Olvek\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/**
 * A logbook out of a table that somebody kept elsewhere, or that Olvek wrote: each line is taken or refused with its reason, and the same
 * table twice is no line more.
 */
final readonly class LogImport
{
    /** J: twenty lines a week for twenty years. */
    public const MOST_LINES = 20_000;
    /** How days are written: by id, PHP's format and words. */
    public const DATES = [
        'ymd' => ['Y-m-d', '2026-05-24'],
        'dmy-dot' => ['d.m.Y', '24.05.2026'],
        'dmy' => ['d/m/Y', '24/05/2026'],
        'mdy' => ['m/d/Y', '05/24/2026'],
    ];
    /** Columns by which a table is known to be Olvek's own. */
    private const OWN = ['day', 'kind', 'what', 'amount', 'of', 'words'];

    public function __construct(private Logbook $logbook, private BuildRecords $book, private Today $today, private Knowledge $knowledge)
    {
    }

    /**
     * What a table looks like, and what its columns are likely to hold.
     *
     * @return array{own: bool, names: list<string>, sample: list<list<string>>, guesses: list<string>, dates: string, lines: int}
     */
    public static function look(string $text, Keeper $keeper): array
    {
        $names = $sample = [];
        $count = 0;
        foreach (Csv::lines($text) as $row) {
            if ([] === $names) {
                $names = $row;
            } elseif (\count($sample) < 4) {
                $sample[] = $row;
            }
            ++$count;
        }
        $guesses = array_map(static fn (string $name): string => ImportColumn::guess($name, $keeper->kit(), $keeper->units()), $names);
        $day = array_search(ImportColumn::DAY, $guesses, true);
        $dates = 'ymd';
        foreach (self::DATES as $id => [$format]) {
            if (false !== $day && null !== self::date($sample[0][$day] ?? '', $format)) {
                $dates = $id;
                break;
            }
        }

        return [
            'own' => [] === array_diff(self::OWN, $names),
            'names' => $names,
            'sample' => $sample,
            'guesses' => $guesses,
            'dates' => $dates,
            'lines' => max(0, $count - 1),
        ];
    }

    /**
     * Takes a table whose columns are told by hand.
     *
     * @param list<string> $map   what each column holds (ImportColumn::choices()); '' for what is left out
     * @param string       $dates one of DATES
     */
    public function take(Tank $tank, string $text, array $map, string $dates): ImportReport
    {
        $report = new ImportReport();
        $entries = [];
        $format = self::DATES[$dates][0] ?? self::DATES['ymd'][0];
        $day = array_search(ImportColumn::DAY, $map, true);
        [$today, $filled] = [$this->today->of($tank->keeper), $this->book->filledOn($tank)];
        foreach (self::rows($text) as $line => $row) {
            $on = false === $day ? null : self::date($row[$day] ?? '', $format);
            $fault = null === $on ? 'The day is none that is written so.' : BuildRecords::faultOf($on->format('Y-m-d'), $today, $filled);
            if (null !== $fault || null === $on) {
                $report->refuse($line, $fault ?? '');
                continue;
            }
            foreach ($map as $n => $holds) {
                $cell = trim($row[$n] ?? '');
                $made = '' === $cell || \in_array($holds, ['', ImportColumn::DAY], true) ? null : self::entry($tank, $on, $holds, $cell);
                if (\is_string($made)) {
                    $report->refuse($line, $made);
                } elseif (null !== $made) {
                    $entries[$made->id->toRfc4122()] = $made;
                }
            }
        }
        $this->logbook->keepAll($entries, $report);

        return $report;
    }

    /** Takes a logbook that Olvek wrote. */
    public function takeOwn(Tank $tank, string $text): ImportReport
    {
        $report = new ImportReport();
        $entries = $rows = [];
        [$today, $filled] = [$this->today->of($tank->keeper), $this->book->filledOn($tank)];
        foreach (Csv::read($text, [...self::OWN, 'made_up', 'note', 'cause', 'id']) as $line => $row) {
            $on = Today::read($row['day']);
            $kind = EntryKind::tryFrom($row['kind']);
            $amount = '' === $row['amount'] ? null : filter_var($row['amount'], \FILTER_VALIDATE_FLOAT);
            $fault = match (true) {
                null === $on => 'The day is none.',
                null === $kind || !$this->isKnown($kind, $row['what']) => 'What was read, done or seen is not known.',
                false === $amount || (null !== $amount && !is_finite($amount)) => 'The amount is no number.',
                1 !== preg_match('/^[a-z0-9:-]{0,80}$/Di', $row['of']) => 'What it concerns is not known.',
                default => BuildRecords::faultOf($row['day'], $today, $filled)
                    ?? PlainText::fault($row['words'], Entry::LONGEST_WORDS, 'The text')
                    ?? PlainText::faultOfLines($row['note'], Entry::LONGEST_NOTE, 'The note'),
            };
            if (null !== $fault) {
                $report->refuse($line, $fault);
            }
            if (null === $on || null === $kind || false === $amount || null !== $fault) {
                continue;
            }
            $given = Uuid::isValid($row['id']) ? Uuid::fromString($row['id'])->toRfc4122() : '';
            $rows[] = [$on, $kind, $amount, $row, $given];
        }
        $here = array_fill_keys(
            $this->logbook->standing(array_values(array_filter(array_column($rows, 4), static fn (string $id): bool => '' !== $id)), $tank),
            true,
        );
        foreach ($rows as [$on, $kind, $amount, $row, $given]) {
            // A line of this tank is itself; one of another tank's is a line of its own here, the same each time.
            $id = match (true) {
                '' === $given => Uuid::v5($tank->id(), implode("\n", $row)),
                isset($here[$given]) => Uuid::fromString($given),
                default => Uuid::v5($tank->id(), $given),
            };
            $entries[$id->toRfc4122()] = new Entry(
                $tank,
                $on,
                $kind,
                $row['what'],
                $amount,
                '' === $row['of'] ? null : $row['of'],
                $row['words'],
                'yes' === $row['made_up'],
                $id,
                note: $row['note'],
                cause: Cause::tryFrom($row['cause'])->value ?? '',
            );
        }
        $this->logbook->keepAll($entries, $report);

        return $report;
    }

    /** @return iterable<int, list<string>> by line, the heading left out */
    private static function rows(string $text): iterable
    {
        $first = true;
        foreach (Csv::lines($text) as $line => $row) {
            if (!$first) {
                yield $line => $row;
            }
            $first = false;
        }
    }

    private function isKnown(EntryKind $kind, string $what): bool
    {
        return match ($kind) {
            EntryKind::Reading => null !== Measure::tryFrom($what),
            EntryKind::Done => null !== EventKind::named($what),
            EntryKind::Sighting => LogBuilder::ALGAE === $what || null !== Sign::tryFrom($what),
            EntryKind::Note => true,
            EntryKind::Tried, EntryKind::Came => isset($this->knowledge->causes[$what]),
        };
    }

    /** @return Entry|string why it is none */
    private static function entry(Tank $tank, \DateTimeImmutable $on, string $holds, string $cell): Entry|string
    {
        $id = Uuid::v5($tank->id(), $on->format('Y-m-d')." $holds $cell");
        if (ImportColumn::NOTE === $holds) {
            return PlainText::faultOfLines($cell, Entry::LONGEST_NOTE, 'The note')
                ?? new Entry($tank, $on, EntryKind::Note, 'note', null, null, 'Note', id: $id, note: $cell);
        }
        $column = ImportColumn::named($holds);
        if (null === $column) {
            return 'What this column holds is not known.';
        }
        $kit = TestKit::of($column->kit);
        try {
            $below = 1 === preg_match('/^[<≤]/u', $cell);
            $value = $below ? 0.0 : $kit->toBase($column->measure, QuantityReader::read($cell, $column->unit));
        } catch (UnreadableQuantity $unreadable) {
            return $column->measure->label().': '.$unreadable->getMessage();
        }
        [$least, $most] = $column->measure->bounds();

        return $value < $least || $value > $most
            ? \sprintf('%s: %s lies outside of what is possible.', $column->measure->label(), $cell)
            : new Entry(
                $tank,
                $on,
                EntryKind::Reading,
                $column->measure->value,
                $value,
                null,
                Logbook::line($column->measure, $value, $kit, $tank->keeper->units()),
                id: $id,
            );
    }

    private static function date(string $typed, string $format): ?\DateTimeImmutable
    {
        // An hour behind the day is left out: the logbook keeps days.
        $typed = preg_replace('/[T ]\d{1,2}:\d{2}.*$/', '', trim($typed)) ?? '';
        $on = \DateTimeImmutable::createFromFormat("!$format", $typed);

        return false !== $on && ($on->format($format) === $typed || $on->format(strtr($format, 'dm', 'jn')) === $typed) ? $on : null;
    }
}
