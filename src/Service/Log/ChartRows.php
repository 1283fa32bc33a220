<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Service\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/** Readings out of charts.csv: what was expected beside them is left out, and a reading that the logbook has already is that one. */
final readonly class ChartRows
{
    public function __construct(private EntryRepository $entries)
    {
    }

    /** @return \Generator<int, Entry|string> by line: an entry, or why the row is none */
    public function entries(Tank $tank, TextTable $table, TableChoice $choice, ?Uuid $import): \Generator
    {
        $ids = $this->entries->readingIds($tank);
        foreach ($table->named(TableLook::CHARTS_COLUMNS) as $line => $row) {
            $on = $choice->days?->read($row['date']);
            $measure = Measure::tryFrom($row['measure']);
            $value = TextTable::number($row['value']);
            if (null === $on || null === $measure || null === $value) {
                yield $line => match (true) {
                    null === $on => "“{$row['date']}” isn’t a day.",
                    null === $measure => "Olvek doesn’t know the reading “{$row['measure']}”.",
                    default => "“{$row['value']}” isn’t a number.",
                };
                continue;
            }
            $outside = ReadingRange::fault($measure, $value, $tank->keeper->kit(), $tank->keeper->units());
            if (null !== $outside) {
                yield $line => $outside;
            } elseif (1 !== preg_match('/^[a-z0-9-]{0,80}$/Di', $row['of'])) {
                yield $line => 'The column “of” may hold only letters, digits and hyphens.';
            } else {
                $key = EntryRepository::readingKey($on, $measure->value, $row['of'], $value);
                yield $line => new Entry(
                    $tank,
                    $on,
                    EntryKind::Reading,
                    $measure->value,
                    $value,
                    '' === $row['of'] ? null : $row['of'],
                    Logbook::line($measure, $value, $tank->keeper->kit(), $tank->keeper->units()),
                    id: isset($ids[$key]) ? Uuid::fromString($ids[$key]) : Uuid::v5($tank->id(), $key),
                    import: $import,
                );
            }
        }
    }
}
