<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\Unit\DayFormat;

/** How a keeper says that a table is to be read: what each column holds, and how its days are written. */
final readonly class TableChoice
{
    /** @param list<string> $map by column, ids of ImportColumn::choices(); '' for what is left out */
    public function __construct(public array $map, public ?DayFormat $days)
    {
    }

    /** Why the table cannot be read so; '' where it can. */
    public function fault(TableLook $look): string
    {
        $fault = TableLook::FOREIGN === $look->kind ? $this->columnFault($look->names) : '';

        return match (true) {
            '' !== $fault => $fault,
            null === $this->days => [] === $look->days
                ? 'Choose the date format: none fits all the lines.'
                : 'Choose the date format: these dates can be read in more than one way.',
            default => '',
        };
    }

    /** @param list<string> $names */
    private function columnFault(array $names): string
    {
        $open = $measures = [];
        foreach ($this->map as $n => $holds) {
            if (str_ends_with($holds, ImportColumn::OPEN)) {
                $open[] = '“'.($names[$n] ?? $n + 1).'”';
            }
            if (!\in_array($holds, ['', ImportColumn::DAY, ImportColumn::NOTE], true)) {
                $measures[] = $holds;
            }
        }
        $hasNotes = \in_array(ImportColumn::NOTE, $this->map, true);
        $days = \count(array_keys($this->map, ImportColumn::DAY, true));

        return match (true) {
            1 !== $days => 'Choose the column that holds the date, and only one.',
            [] === $measures && !$hasNotes => 'Choose what at least one column holds besides the date.',
            \count($measures) > \count(array_unique($measures)) => 'Two columns hold the same reading: leave one of them out.',
            [] !== $open => 'Choose the unit of '.implode(', ', $open).'.',
            default => '',
        };
    }
}
