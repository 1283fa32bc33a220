<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Planning\Event\Dose;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Laws that any run must obey whatever its numbers are: size does not matter by itself, and more of a cause is not less of its effect. */
final class LawsTest extends TestCase
{
    /**
     * A tank of twice the floor, twice the glass and twice of all that is in it lives as two of the smaller would: 60 × 30 cm inside and
     * 157.1 × 22.9 cm have floors and walls as 1 to 2. Floaters, since what stands in the floor has places, which do not scale.
     */
    public function testTwoTanksAreOneOfTwiceTheSize(): void
    {
        $of = static fn (string $length, string $width, int $times): Plan => Sample::edit(Plan::starting('One', Sample::catalogue()), [
            'vessel.shape' => 'glass-box',
            'vessel.glass' => '0.006 m',
            'vessel.length' => "$length m",
            'vessel.width' => "$width m",
            'vessel.height' => '0.36 m',
            'waterLine' => '0.33 m',
            'bed.soil.material' => 'bagged-topsoil',
            'bed.soil.front' => '2.5 cm',
            'bed.soil.back' => '2.5 cm',
            'bed.cap.material' => 'coarse-sand',
            'bed.cap.front' => '3 cm',
            'bed.cap.back' => '3 cm',
            'light.lumens' => (string) (1500 * $times),
            'light.hours' => '9',
        ]);
        $fill = static function (Plan $plan, int $times): Plan {
            $plan = Sample::edit(Sample::edit($plan, ['plants.add.salvinia-natans' => (string) (6 * $times)]), [
                'animals.add.heterandria-formosa' => (string) (8 * $times),
            ]);

            return Sample::edit($plan, [
                'animals.a1.day' => '10',
                'feeding.grams' => \sprintf('%.4f', 0.04 * $times),
                'feeding.fromDay' => '12',
            ]);
        };
        $long = (1.8 + sqrt(1.8 ** 2 - 4 * 0.36)) / 2;
        $one = $fill($of('0.612', '0.312', 1), 1);
        $two = $fill($of(\sprintf('%.9f', $long + 0.012), \sprintf('%.9f', 1.8 - $long + 0.012), 2), 2);
        self::assertEqualsWithDelta(2 * $one->netWater(), $two->netWater(), 1e-6);
        $small = (new Runner($one))->run(200);
        $large = (new Runner($two))->run(200);
        $columns = ['ammonia', 'nitrite', 'nitrate', 'oxygen', 'pH', 'phosphate', 'iron', 'cover', 'algae', 'ammoniaOxidisers', 'sulphide'];
        foreach ($columns as $column) {
            foreach ($small->columns[$column] as $day => $value) {
                self::assertEqualsWithDelta($value, $large->columns[$column][$day], 1e-4 + 5e-3 * abs($value), "$column on day $day");
            }
        }
        foreach (['plants', 'animals', 'mulm'] as $amount) {
            self::assertEqualsWithDelta(
                2 * $small->columns[$amount][199],
                $large->columns[$amount][199],
                2e-3 * $large->columns[$amount][199],
                $amount,
            );
        }
    }

    /** More food: never less nitrogen in the water after half a year, nor more oxygen at its worst dawn. */
    public function testMoreFoodIsMoreOfWhatFoodBrings(): void
    {
        $nitrogen = 0.0;
        $oxygen = \INF;
        foreach (['0.02', '0.06', '0.12', '0.25'] as $grams) {
            $trace = (new Runner(Sample::edit(Sample::planted(), ['feeding.grams' => $grams, 'animals.a1.count' => '30'])))->run(182);
            $there =
                $trace->mean('nitrate', 150, 182) +
                $trace->mean('ammonia', 150, 182) +
                $trace->mean('nitrite', 150, 182) +
                array_sum($trace->quotas[181]) / 10;
            self::assertGreaterThan($nitrogen, $there, $grams);
            self::assertLessThan($oxygen, $trace->lowest('oxygen', 60)[0], $grams);
            [$nitrogen, $oxygen] = [$there, $trace->lowest('oxygen', 60)[0]];
        }
    }

    /**
     * The same milligrams in more water: a lower peak, later. The same dose in warmer water: gone sooner. More bacteria at the start: gone
     * sooner.
     */
    public function testADoseIsDilutedWarmedAndTakenUp(): void
    {
        $bare = Sample::edit(Plan::starting('Bare', Sample::catalogue()), [
            'bed.soil.material' => 'none',
            'light.hours' => '0',
            'start.inoculum' => 'cuttings',
        ]);
        $gone = static function (string $place, string $value) use ($bare): int {
            $trace = (new Runner(Sample::edit($bare, [$place => $value])))->run(120, [new Dose(0, 3.0)]);

            return (int) array_key_first(
                array_filter(
                    $trace->columns['nitrite'],
                    static fn (float $v, int $day): bool => $day > 3 && $v < 0.06 && $trace->columns['ammonia'][$day] < 0.1,
                    \ARRAY_FILTER_USE_BOTH,
                ),
            );
        };
        $before = \PHP_INT_MAX;
        foreach (['18 °C', '22 °C', '26 °C', '30 °C'] as $celsius) {
            self::assertLessThan($before, $before = $gone('site.temperature', $celsius), $celsius);
        }
        $before = \PHP_INT_MAX;
        foreach (['nothing', 'cuttings', 'bottled', 'sponge'] as $inoculum) {
            self::assertLessThan($before, $before = $gone('start.inoculum', $inoculum), $inoculum);
        }
    }

    /** More light, as long as it is not too much: more plants; more of them: lower nitrate, never higher. */
    public function testMoreLightIsMorePlants(): void
    {
        $before = 0.0;
        foreach (['400', '900', '1800', '3600'] as $lumens) {
            $plants = (new Runner(Sample::edit(Sample::planted(), ['light.lumens' => $lumens])))->run(90)->columns['plants'][89];
            self::assertGreaterThan($before, $plants, $lumens);
            $before = $plants;
        }
        $before = \INF;
        foreach (['10', '30', '90'] as $pieces) {
            $nitrate = (new Runner(
                Sample::edit(Sample::planted(), [
                    'plants.c1.pieces' => $pieces,
                    'feeding.grams' => '0.2',
                    'animals.a1.count' => '30',
                    'water.nitrate' => '20',
                ]),
            ))
                ->run(30)
                ->mean('nitrate', 5, 30);
            self::assertLessThan($before, $nitrate, $pieces);
            $before = $nitrate;
        }
    }
}
