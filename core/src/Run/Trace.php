<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

/**
 * What a run leaves behind: one row a day, columns by name with their units.
 */
final class Trace
{
    /** Unit by column; "" for pure numbers. Nitrogen is always mg N, never the ion. */
    public const COLUMNS = [
        'day' => 'd', 'temperature' => '°C', 'volume' => 'L', 'ammonia' => 'mg N/L, the day’s highest', 'nitrite' => 'mg N/L, the day’s highest', 'nitrate' => 'mg N/L at midnight',
        'oxygen' => 'mg/L, the day’s lowest', 'pH' => 'mean', 'pHLeast' => '', 'pHMost' => '', 'carbonDioxide' => 'mg/L, mean of the light hours',
        'phosphate' => 'mg P/L', 'potassium' => 'mg/L', 'iron' => 'mg/L', 'carbonateHardness' => '°dH', 'generalHardness' => '°dH',
        'leak' => 'mg N/d into water and roots', 'plants' => 'g dry', 'cover' => 'share of the surface', 'algae' => 'g dry per m² of lit surface', 'animals' => 'g wet', 'mulm' => 'g C',
        'ammoniaOxidisers' => 'share of the mature film', 'nitriteOxidisers' => 'share of the mature film',
    ];

    /** @var array<string, list<float>> values by column */
    public array $columns;

    /** @var list<array<int, float>> g dry of each clump, by day */
    public array $clumps = [];

    /** @var list<array<int, float>> mg N per g of each clump, by day */
    public array $quotas = [];

    public function __construct()
    {
        $this->columns = array_fill_keys(array_keys(self::COLUMNS), []);
    }

    /** @param array<string, float> $row */
    public function add(array $row): void
    {
        foreach ($row as $column => $value) {
            $this->columns[$column][] = $value;
        }
    }

    public function days(): int
    {
        return \count($this->columns['day']);
    }

    /**
     * The highest value of a column and its day.
     *
     * @return array{float, int}
     */
    public function highest(string $column, int $from = 0): array
    {
        return $this->extreme($column, $from, 1);
    }

    /** @return array{float, int} the lowest value of a column and its day */
    public function lowest(string $column, int $from = 0): array
    {
        return $this->extreme($column, $from, -1);
    }

    /** @return array{float, int} */
    private function extreme(string $column, int $from, int $sign): array
    {
        $best = [-\INF, $from];
        foreach ($this->columns[$column] as $day => $value) {
            if ($day >= $from && $sign * $value > $best[0]) {
                $best = [$sign * $value, $day];
            }
        }

        return [$sign * $best[0], $best[1]];
    }
}
