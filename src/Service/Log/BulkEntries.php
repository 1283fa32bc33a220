<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holding;

/** Keeps many lines at once, of which some may stand there already. */
final readonly class BulkEntries
{
    private const UNFINISHED = 'There wasn’t time for all of it. Send it again: it continues from here, and nothing is duplicated.';

    public function __construct(private EntryRows $rows, private Bounds $bounds)
    {
    }

    /**
     * Keeps lines of which some may stand here already: those are left as they are. Each few hundred are kept for good before the next are
     * looked at; where time or room runs out, the report says so, and the same lines sent again go on from there.
     *
     * @param iterable<Entry> $entries
     */
    public function keepAll(iterable $entries, LogImportReport $report, ?TimeLimit $patience = null): void
    {
        $chunk = [];
        foreach ($entries as $entry) {
            $chunk[$entry->id->toRfc4122()] = $entry;
            if (\count($chunk) >= EntryRows::AT_ONCE) {
                if (!$this->keepChunk(array_values($chunk), $report)) {
                    return;
                }
                $chunk = [];
                if (true === $patience?->isSpent()) {
                    $report->stop(self::UNFINISHED);

                    return;
                }
            }
        }
        $this->keepChunk(array_values($chunk), $report);
    }

    /** @param list<Entry> $chunk */
    private function keepChunk(array $chunk, LogImportReport $report): bool
    {
        $tanks = $entries = [];
        foreach ($chunk as $entry) {
            $id = $entry->tank->id()->toRfc4122();
            $tanks[$id] = $entry->tank;
            $entries[$id][] = $entry;
        }
        foreach ($entries as $id => $some) {
            $full = $this->bounds->fault($tanks[$id]->keeper, new Holding(lines: \count($some)));
            if (null !== $full) {
                $report->stop($full);

                return false;
            }
            $added = $this->rows->add($tanks[$id], $some);
            $report->keep($added);
            $report->known(\count($some) - $added);
        }

        return true;
    }
}
