<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * What a run leaves behind: one row a day, columns by name with their units.
 */
final class Trace
{
    /** Unit by column; "" for pure numbers. Nitrogen is always mg N, never the ion. */
    public const COLUMNS = [
        'day' => 'd',
        'temperature' => '°C',
        'volume' => 'L',
        'ammonia' => 'mg N/L, the day’s highest',
        'nitrite' => 'mg N/L, the day’s highest',
        'nitrate' => 'mg N/L at midnight',
        'oxygen' => 'mg/L, the day’s lowest',
        'pH' => 'mean',
        'pHLeast' => '',
        'pHMost' => '',
        'carbonDioxide' => 'mg/L, mean of the light hours',
        'carbonDioxideMost' => 'mg/L, the day’s highest',
        'phosphate' => 'mg P/L',
        'potassium' => 'mg/L',
        'iron' => 'mg/L',
        'carbonateHardness' => '°dH',
        'generalHardness' => '°dH',
        'conductivity' => 'µS/cm at 25 °C',
        'unionised' => 'mg NH3-N/L, the day’s highest',
        'tannin' => 'mg C/L',
        'light' => 'mol/m²/d on the water',
        'greenWater' => 'mg dry/L',
        'diatoms' => 'g dry per m² of lit surface',
        'heads' => 'animals',
        'deaths' => 'animals/d',
        'sulphide' => 'index, 1 being a bed to worry about',
        'bubbles' => 'mL/d',
        'soilReady' => 'mg N that microbes free within a year',
        'soilNitrogen' => 'mg N',
        'soilPotassium' => 'mg',
        'soilIron' => 'mg',
        'lampHours' => 'h/d',
        'lampShare' => 'share of the lamp’s full strength',
        'food' => 'mg N/d',
        'supply' => 'mg N/d reaching the water as ammonia',
        'taken' => 'mg N/d by plants from the water',
        'rooted' => 'mg N/d by roots from the bed',
        'exported' => 'mg N/d that plants keep over what they shed',
        'exportable' => 'mg N/d that they would keep were nitrogen ample',
        'rootNeed' => 'mg N/d that roots would bring if leaves grew as light allows',
        'denitrified' => 'mg N/d',
        'evaporated' => 'L/d',
        'leak' => 'mg N/d into water and roots',
        'plants' => 'g dry',
        'cover' => 'share of the surface',
        'algae' => 'g dry per m² of lit surface',
        'animals' => 'g wet',
        'mulm' => 'g C',
        'ammoniaOxidisers' => 'share of the mature film',
        'nitriteOxidisers' => 'share of the mature film',
    ];

    /** Days of the window over which a lean time is judged. J. */
    public const WINDOW = 28;

    /** @var array<string, list<float>> values by column */
    public array $columns;

    /** @var list<array<int, float>> g dry of each clump, by day */
    public array $clumps = [];

    /** @var list<array<int, float>> share of its greatest growth that light allows each clump, by day */
    public array $lit = [];

    /** @var list<array<int, float>> share of its growth that nutrients allow each clump, by day */
    public array $fed = [];

    /** @var list<array<int, string>> nutrient that each clump is shortest of, by day */
    public array $shortOf = [];

    /** @var list<array<int, float>> g wet of each group, by day */
    public array $groups = [];

    /** @var list<array<int, float>> heads of each group, by day */
    public array $heads = [];
    /** @var list<array<int, float>> heads of each group that were given away so far, by day */
    public array $givenAway = [];

    /** @var list<array<int, float>> mg N per g of each clump, by day */
    public array $quotas = [];

    public function __construct()
    {
        $this->columns = array_fill_keys(array_keys(self::COLUMNS), []);
    }

    /**
     * Lays the days of a run out by column, once it is over: day by day it would cost a fifteenth of the run.
     *
     * @param list<array<string, float>> $rows one a day, each with all columns
     */
    public function fill(array $rows): void
    {
        foreach (self::COLUMNS as $column => $unit) {
            $this->columns[$column] = array_column($rows, $column);
        }
    }

    public function days(): int
    {
        return \count($this->columns['day']);
    }

    /** What shows in the tank on a day; on the last where the run is shorter. */
    public function on(int $day): Snapshot
    {
        $day = max(0, min($this->days() - 1, $day));
        $of = fn (string $column): float => $this->columns[$column][$day];

        return new Snapshot(
            $day,
            array_values($this->clumps[$day]),
            array_values($this->heads[$day]),
            $of('cover'),
            $of('algae'),
            $of('diatoms'),
            $of('greenWater'),
            $of('tannin'),
            $of('lampHours'),
            $of('lampShare'),
            $of('light'),
        );
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

    /**
     * The lowest mean of a share over four weeks of any clump, its clump and the last of its days; null without clumps or weeks.
     *
     * @param list<array<int, float>> $shares by day and clump
     * @param list<int>|null          $clumps that count; null for all
     *
     * @return array{float, int, int}|null
     */
    public function leanest(array $shares, int $from, ?array $clumps = null): ?array
    {
        $worst = null;
        foreach ($clumps ?? array_keys($this->clumps[0] ?? []) as $clump) {
            $sum = 0.0;
            for ($day = $from; $day < $this->days(); ++$day) {
                $sum += $shares[$day][$clump];
                if ($day - $from >= self::WINDOW) {
                    $sum -= $shares[$day - self::WINDOW][$clump];
                }
                if ($day - $from >= self::WINDOW - 1 && (null === $worst || $sum / self::WINDOW < $worst[0])) {
                    $worst = [$sum / self::WINDOW, $clump, $day];
                }
            }
        }

        return $worst;
    }

    /** Mean of a column over days from $from up to, not including, $to. */
    public function mean(string $column, int $from, int $to): float
    {
        $slice = \array_slice($this->columns[$column], $from, max(1, $to - $from));

        return [] === $slice ? 0.0 : array_sum($slice) / \count($slice);
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
