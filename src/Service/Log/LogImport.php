<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/**
 * A logbook out of a table that somebody kept elsewhere, or that Olvek wrote: each line is taken or refused with its reason, and the same
 * table twice is no entry more. First it is shown what would be written; what was written is undone as a whole.
 */
final readonly class LogImport
{
    /** J: twenty lines a week for twenty years. */
    public const MOST_LINES = 20_000;
    /** Entries that a preview shows. */
    private const SHOWN = 8;

    public function __construct(
        private BulkEntries $bulk, private EntryRepository $entries,
        private Today $today,
        private OwnRows $own,
        private ChartRows $charts,
        private ImportBatches $batches,
    ) {
    }

    public function look(Tank $tank, string $text, ?int $column = null): TableLook
    {
        return TableLook::at($text, $tank->filledOn(), $this->today->of($tank->keeper), $column);
    }

    /** What would be written; nothing is. */
    public function preview(Tank $tank, string $text, TableLook $look, TableChoice $choice): ImportPreview
    {
        $report = new LogImportReport();
        $preview = new ImportPreview($report);
        $entries = [];
        foreach ($this->entries($tank, $text, $look, $choice, $report, null) as $entry) {
            $id = $entry->id->toRfc4122();
            $preview->see($entry, self::SHOWN);
            $entries[$id] = true;
        }
        $known = \count($this->entries->standing(array_keys($entries), $tank));
        $report->keep(\count($entries) - $known);
        $report->known($known);

        return $preview;
    }

    public function take(
        Tank $tank,
        string $text,
        string $name,
        TableLook $look,
        TableChoice $choice,
        TimeLimit $patience,
    ): LogImportReport {
        $report = new LogImportReport();
        $batch = $this->batches->begin($tank, $name);
        try {
            $this->bulk->keepAll($this->entries($tank, $text, $look, $choice, $report, $batch->id), $report, $patience);
        } finally {
            $this->batches->end($batch, $report->kept);
        }
        $report->batch = 0 === $report->kept ? null : $batch->id;

        return $report;
    }

    /** @return \Generator<int, Entry> what can be taken; the rest is in the report, with its reason */
    private function entries(
        Tank $tank,
        string $text,
        TableLook $look,
        TableChoice $choice,
        LogImportReport $report,
        ?Uuid $import,
    ): \Generator {
        $table = TextTable::read($text);
        $rows = match ($look->kind) {
            TableLook::LOG => $this->own->entries($tank, $table, $choice, $import),
            TableLook::CHARTS => $this->charts->entries($tank, $table, $choice, $import),
            default => ForeignRows::entries($tank, $table, $choice, $import),
        };
        [$today, $filled] = [$this->today->of($tank->keeper), $tank->filledOn()];
        $outside = null;
        foreach ($rows as $line => $made) {
            if (\is_string($made)) {
                $report->refuse($line, $made);
                continue;
            }
            $fault = BuildRecords::faultOf($made->on->format('Y-m-d'), $today, $filled);
            if (null === $fault) {
                yield $made;
            } elseif ($outside !== $line) {
                // A day is wrong once, however many cells stand beside it.
                $report->refuse($line, $fault);
                $outside = $line;
            }
        }
    }
}
