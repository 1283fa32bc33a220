<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/** Rows of a table that somebody kept elsewhere, its columns told by hand. */
final class ForeignRows
{
    /** @return \Generator<int, Entry|string> by line: an entry, or why a cell or a row is none */
    public static function entries(Tank $tank, TextTable $table, TableChoice $choice, ?Uuid $import): \Generator
    {
        $day = array_search(ImportColumn::DAY, $choice->map, true);
        foreach ($table->rows() as $line => $row) {
            $typed = false === $day ? '' : trim($row[$day] ?? '');
            $on = $choice->days?->read($typed);
            if (null === $on) {
                yield $line => '' === $typed ? 'The day is missing.' : "“{$typed}” doesn’t match the date format you chose.";
                continue;
            }
            foreach ($choice->map as $n => $holds) {
                $cell = trim($row[$n] ?? '');
                if ('' !== $cell && !\in_array($holds, ['', ImportColumn::DAY], true)) {
                    yield $line => self::entry($tank, $on, $holds, $cell, $import);
                }
            }
        }
    }

    private static function entry(Tank $tank, \DateTimeImmutable $on, string $holds, string $cell, ?Uuid $import): Entry|string
    {
        $id = Uuid::v5($tank->id(), $on->format('Y-m-d')." $holds $cell");
        if (ImportColumn::NOTE === $holds) {
            return PlainText::faultOfLines($cell, Entry::LONGEST_NOTE, 'The note')
                ?? new Entry($tank, $on, EntryKind::Note, 'note', null, null, 'Note', id: $id, note: $cell, import: $import);
        }
        $column = ImportColumn::named($holds);
        if (null === $column) {
            return 'Olvek doesn’t know what this column holds: choose it again.';
        }
        $kit = TestKit::of($column->kit);
        try {
            $below = 1 === preg_match('/^[<≤]/u', $cell);
            $value = $below ? 0.0 : $kit->toBase($column->measure, QuantityReader::read($cell, $column->unit));
        } catch (UnreadableQuantity $unreadable) {
            return $column->measure->label().': '.$unreadable->getMessage();
        }
        $outside = ReadingRange::fault($column->measure, $value, $kit, $tank->keeper->units());

        return null !== $outside
            ? "$cell: $outside"
            : new Entry(
                $tank,
                $on,
                EntryKind::Reading,
                $column->measure->value,
                $value,
                null,
                Logbook::line($column->measure, $value, $kit, $tank->keeper->units()),
                id: $id,
                import: $import,
            );
    }
}
