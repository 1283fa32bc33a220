<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

/** What an import would write: how much, from which day to which, and the first of it as it would stand in the logbook. */
final class ImportPreview
{
    public ?\DateTimeImmutable $first = null;
    public ?\DateTimeImmutable $last = null;
    /** @var list<Entry> */
    public array $shown = [];

    public function __construct(public readonly LogImportReport $report)
    {
    }

    public function see(Entry $entry, int $shown): void
    {
        $this->first = null === $this->first ? $entry->on : min($this->first, $entry->on);
        $this->last = null === $this->last ? $entry->on : max($this->last, $entry->on);
        if (\count($this->shown) < $shown) {
            $this->shown[] = $entry;
        }
    }
}
