<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Event\Dose;
use Olvek\Core\Run\Runner;
use Olvek\Core\Run\State;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** The run against the same equations in SciPy's LSODA: fixture run-dose.csv and the script that made it, make-run-dose.py. */
final class IndependentRunTest extends TestCase
{
    public function testAFishlessDoseFollowsTheIndependentSolver(): void
    {
        $plan = Sample::edit(Plan::starting('Bare', Sample::catalogue()), ['bed.soil.material' => 'none', 'start.inoculum' => 'bottled', 'light.hours' => '0']);
        /** @var list<array<string, float>> $ours */
        $ours = [];
        (new Runner($plan))->run(60, [new Dose(0, 5.0)], 1, static function (int $day, State $s) use (&$ours): void {
            $ours[] = [
                'ammonia' => $s->ammonia / $s->volume, 'nitrite' => $s->nitrite / $s->volume, 'nitrate' => $s->nitrate / $s->volume, 'oxygen' => $s->oxygen / $s->volume,
                'carbon' => $s->carbon / $s->volume, 'alkalinity' => $s->alkalinity / $s->volume, 'ammoniaOxidisers' => $s->ammoniaOxidisers, 'nitriteOxidisers' => $s->nitriteOxidisers,
            ];
        });
        $lines = file(__DIR__.'/run-dose.csv', \FILE_IGNORE_NEW_LINES);
        self::assertIsArray($lines);
        $columns = \array_slice(explode(',', $lines[0]), 1);
        $theirs = array_map(static fn (string $line): array => array_combine($columns, array_map(floatval(...), \array_slice(explode(',', $line), 1))), \array_slice($lines, 1));
        self::assertCount(60, $theirs);
        foreach ($columns as $column) {
            $values = array_column($theirs, $column);
            self::assertNotEmpty($values);
            $range = max($values) - min($values);
            foreach ($theirs as $day => $row) {
                self::assertEqualsWithDelta($row[$column], $ours[$day][$column], 0.02 * $range, "$column at the end of day $day");
            }
        }
    }
}
