<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Planning\Event\Dose;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Alga;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\State;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * The run against the same equations, by the same hand, in SciPy's LSODA (a dose in a bare tank, planted, overstocked, cold with house
 * plants and
 * moss, warm with changes and lime, sealed, outdoors): a check of how the run splits its day, not of its science.
 * Fixtures run-*.csv and the script that made them, run_scipy.py.
 */
final class SecondSolverTest extends TestCase
{
    /** Below these a state is nothing to anybody: fiftieths of what a test shows or an eye sees. */
    private const NOTHING = [
        'ammonia' => 0.005,
        'nitrite' => 0.001,
        'phosphate' => 0.005,
        'scrapsNitrogen' => 0.2,
        'iron' => 0.001,
        'film' => 0.002,
        'drift' => 0.002,
        'diatoms' => 0.002,
        'litterNitrogen' => 0.05,
        'tannin' => 1e-4,
    ];

    /**
     * Where a state lives by the difference of two large rates, the splitting by days shows: algae grow while carbon dioxide and their own
     * mass change through the day, are grazed round the clock, and net the tenth of either. So many times the 2 % of the others; what
     * feeds on them follows by half. Food is left over from the day on which all have eaten enough, which may be a day sooner or later.
     */
    private const SLACK = [
        'film' => 6.0,
        'diatoms' => 6.0,
        'silicon' => 6.0,
        'droppingsNitrogen' => 6.5,
        'carbon' => 3.5,
        'nitrite' => 4.0,
        'hardness' => 2.5,
        'poreNitrogen' => 2.5,
        'nitrate' => 2.0,
        'phosphate' => 2.0,
        'alkalinity' => 2.0,
        'litterNitrogen' => 2.0,
        'litterCarbon' => 1.5,
        'tannin' => 2.0,
        'scrapsNitrogen' => 4.5,
        'drift' => 2.0,
        'ammonia' => 1.5,
        'nitriteOxidisers' => 3.0,
        'biomass0' => 1.5,
        'biomass1' => 2.0,
        'leafNitrogen1' => 1.5,
        'headCarbon' => 1.5,
        'oxygen' => 1.5,
        'potassium' => 1.5,
    ];

    /** Every state on every day within 2 % of the range that it goes through in the run, or as much more as SLACK says. */
    #[TestWith(['dose', 5.0])]
    #[TestWith(['planted', 0.0])]
    #[TestWith(['overstocked', 0.0])]
    #[TestWith(['cold', 0.0])]
    #[TestWith(['warm', 0.0])]
    #[TestWith(['jar', 0.0])]
    #[TestWith(['tub', 0.0])]
    public function testTheRunFollowsTheIndependentSolver(string $name, float $dose): void
    {
        $plan = (new PlanDocument(Sample::catalogue()))->fromJson((string) file_get_contents(__DIR__."/run-$name.plan.json"));
        [$theirs, $least, $most] = self::read(__DIR__."/run-$name.csv");
        $ours = [];
        (new Runner($plan))->run(\count($theirs), $dose > 0 ? [new Dose(0, $dose)] : [], 1, static function (int $day, State $s) use (
            &$ours,
        ): void {
            $ours[] = self::row($s);
        });
        self::assertGreaterThanOrEqual(40, \count($theirs));
        foreach (array_keys($theirs[0]) as $column) {
            // A state that hardly moves is measured by its size.
            $range = max($most[$column] - $least[$column], 0.05 * abs($most[$column]), (self::NOTHING[$column] ?? 0.0) / 0.02);
            foreach ($theirs as $day => $row) {
                self::assertEqualsWithDelta(
                    $row[$column],
                    $ours[$day][$column],
                    0.02 * (self::SLACK[$column] ?? 1.0) * $range + 1e-9,
                    "$column at the end of day $day",
                );
            }
        }
    }

    /** @return array<string, float> */
    private static function row(State $s): array
    {
        $v = $s->volume;
        $row = [
            'ammonia' => $s->ammonia / $v,
            'nitrite' => $s->nitrite / $v,
            'nitrate' => $s->nitrate / $v,
            'phosphate' => $s->phosphorus / $v,
            'potassium' => $s->potassium / $v,
            'iron' => $s->iron / $v,
            'silicon' => $s->silicon / $v,
            'oxygen' => $s->oxygen / $v,
            'carbon' => $s->carbon / $v,
            'alkalinity' => $s->alkalinity / $v,
            'hardness' => $s->hardness / $v,
            'tannin' => $s->tannin / $v,
            'litterCarbon' => $s->litter->carbon,
            'litterNitrogen' => $s->litter->nitrogen,
            'droppingsNitrogen' => $s->droppings->nitrogen,
            'scrapsNitrogen' => $s->scraps->nitrogen,
            'poreNitrogen' => $s->poreNitrogen,
            'soilNitrate' => $s->soilNitrate,
            'headOxygen' => $s->headOxygen,
            'headCarbon' => $s->headCarbon,
            'flushNitrogen' => $s->flushNitrogen,
            'quickCarbon' => $s->quickCarbon,
            'soilPotassium' => $s->soilPotassium,
            'film' => $s->algae[Alga::Film->value],
            'drift' => $s->algae[Alga::Drift->value],
            'diatoms' => $s->algae[Alga::Diatom->value],
            'ammoniaOxidisers' => $s->ammoniaOxidisers,
            'nitriteOxidisers' => $s->nitriteOxidisers,
        ];
        $stores = ['biomass' => $s->biomass, 'leafNitrogen' => $s->leafNitrogen, 'animals' => $s->animals, 'heads' => $s->heads];
        foreach ($stores as $name => $values) {
            foreach ($values as $i => $value) {
                $row[$name.$i] = $value;
            }
        }

        return $row;
    }

    /**
     * @return array{non-empty-list<array<string, float>>, array<string, float>, array<string, float>} rows by day, least and most of each
     * state
     */
    private static function read(string $file): array
    {
        $lines = file($file, \FILE_IGNORE_NEW_LINES);
        self::assertIsArray($lines);
        $columns = \array_slice(explode(',', $lines[0]), 1);
        $rows = array_map(
            static fn (string $line): array => array_combine($columns, array_map(floatval(...), \array_slice(explode(',', $line), 1))),
            \array_slice($lines, 1),
        );
        $most = array_pop($rows);
        $least = array_pop($rows);
        self::assertNotEmpty($rows);
        self::assertNotNull($most);
        self::assertNotNull($least);

        return [$rows, $least, $most];
    }
}
