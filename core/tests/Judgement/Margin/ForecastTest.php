<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Harm\Ahead;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a keeper is told to expect: each where it comes, and not where it does not. */
final class ForecastTest extends TestCase
{
    private static ?Trace $year = null;

    /** @param array<string, string> $edits */
    private static function find(string $id, array $edits): ?Ahead
    {
        foreach (Judge::judge(Sample::edit(Sample::planted(), $edits))->ahead as $ahead) {
            if ($ahead->id === $id) {
                return $ahead;
            }
        }

        return null;
    }

    public function testBacteriaBloomOverNewSoilOnly(): void
    {
        $cloud = self::find('cloud', []);
        self::assertNotNull($cloud);
        self::assertTrue($cloud->harmless);
        self::assertSame([1, 14], [$cloud->from, $cloud->to], 'C: in the first two weeks');
        self::assertNull(self::find('cloud', ['bed.soil.material' => 'none']));
    }

    /** Each column just above and just below what can be seen, and for just long enough and a day less. */
    #[TestWith(['dust', 'diatoms', 0.31, 0.29])]
    #[TestWith(['green-water', 'greenWater', 3.01, 2.99])]
    #[TestWith(['film', 'algae', 1.51, 1.49])]
    #[TestWith(['tint', 'tannin', 3.01, 2.99])]
    #[TestWith(['gas', 'bubbles', 40.1, 39.9])]
    #[TestWith(['pale-tips', 'nitrate', 0.14, 0.16, 4])]
    public function testAForecastHasItsBoundAndItsLength(string $id, string $column, float $shows, float $hidden, int $days = 5): void
    {
        self::assertContains($id, self::foretold($column, $shows, $hidden, $days));
        self::assertNotContains($id, self::foretold($column, $shows, $hidden, $days - 1), 'too short');
        self::assertNotContains($id, self::foretold($column, $hidden, $hidden, $days), 'too little');
    }

    /** @return list<string> ids of the forecasts where a column shows for some days, starting on day ten */
    private static function foretold(string $column, float $shows, float $hidden, int $days): array
    {
        self::$year ??= (new Runner(Sample::planted()))->run(365, UsualCare::events());
        $trace = clone self::$year;
        $trace->columns['ammonia'] = array_fill(0, 365, 0.0);
        $trace->columns[$column] = [...array_fill(0, 10, $hidden), ...array_fill(0, $days, $shows), ...array_fill(0, 355 - $days, $hidden)];

        return array_map(static fn (Ahead $a): string => $a->id, Judge::fromTrace(Sample::planted(), $trace)->ahead);
    }

    /** Half of the floor planted keeps sunlit water clear; without sun, nothing is said. */
    #[TestWith(['south', '14', '94', true])]
    #[TestWith(['south', '14', '95', false])]
    #[TestWith(['south', '13', '94', false])]
    #[TestWith(['none', '70', '12', false])]
    public function testSunGreensAThinlyPlantedTank(string $aspect, string $sky, string $stems, bool $green): void
    {
        $told = self::find('green-water', [
            'site.aspect' => $aspect, 'site.sky' => $sky, 'plants.c1.pieces' => $stems, 'plants.c2.remove' => '1',
        ]);
        self::assertSame($green, 'ahead.green-in-sun' === $told?->message->id && false === $told->harmless);
    }

    /** Tips are pale where the water is lean while roots grow down; water that holds nitrate feeds them. */
    public function testTipsArePaleInLeanWater(): void
    {
        $lean = ['bed.soil.material' => 'none', 'water.nitrate' => '0', 'animals.a1.day' => '40', 'plants.c1.pieces' => '90'];
        $pale = self::find('pale-tips', $lean);
        self::assertNotNull($pale);
        self::assertTrue($pale->harmless);
        self::assertGreaterThanOrEqual(8, $pale->from, 'four lean days from day five on');
        self::assertNull(self::find('pale-tips', ['water.nitrate' => '60'] + $lean));
        unset($lean['plants.c1.pieces']);
        self::assertNull(self::find('pale-tips', ['plants.c1.remove' => '1', 'plants.c2.remove' => '1'] + $lean), 'no roots to grow');
    }

    public function testRunnersSwallowLowPlants(): void
    {
        $runners = self::find('runners', ['plants.add.sagittaria-subulata' => '6']);
        self::assertNotNull($runners);
        self::assertStringContainsString('Dwarf sagittaria', Said::plain($runners->message));
        self::assertNull(self::find('runners', []), 'none among the plants');
        self::assertNull(self::find('runners', ['plants.c2.remove' => '1', 'plants.add.sagittaria-subulata' => '6']), 'nothing low there');
    }
}
