<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Nature\Water\GasExchange;
use Olvek\Core\Planning\Event\Dose;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What the run does where a tank goes wrong: after accidents, in acid, in heat, where food is short or room is. */
final class EdgesTest extends TestCase
{
    /** @param array<string, string> $edits */
    private static function run_(array $edits, int $days, ?Parameters $parameters = null): Trace
    {
        return (new Runner(Sample::edit(Sample::planted(), $edits), $parameters ?? new Parameters()))->run($days);
    }

    /**
     * A film that has lived on little is soon overtaken: where its cells do not sleep and are no keen guild, five times the load shows for
     * days; where they sleep, not at all. Both are in the band.
     */
    public function testFiveTimesTheLoadShowsWhereIdleColoniesShrink(): void
    {
        // No plants, no soil: ten fish on a pinch a day for 200 days, then seven times what that frees.
        $plan = Sample::edit(Plan::starting('Bare', Sample::catalogue()), [
            'bed.soil.material' => 'none',
            'start.inoculum' => 'sponge',
            'light.hours' => '0',
            'animals.add.heterandria-formosa' => '10',
            'feeding.grams' => '0.05',
        ]);
        $shows = static function (array $numbers) use ($plan): int {
            /** @var array<string, float> $numbers */
            $doses = array_map(static fn (int $day): Dose => new Dose($day, 0.25), range(200, 205));
            $days = 0;
            $evening = static function (int $day, int $hour, array $water) use (&$days): void {
                /** @var array<string, float> $water */
                $days += $day >= 200 && 23 === $hour && $water['ammonia'] > 0.1 ? 1 : 0;
            };
            (new Runner($plan, (new Parameters())->with($numbers)))->run(215, $doses, hourly: $evening);

            return $days;
        };
        self::assertGreaterThanOrEqual(2, $shows(['nitrifierDecay' => 0.17, 'nitrifierDormancy' => 1.0, 'halfAmmonia' => 0.1]));
        self::assertSame(0, $shows(['nitrifierDecay' => 0.05, 'nitrifierDormancy' => 0.15, 'halfAmmonia' => 0.01]));
    }

    /** Soft, overfed and hardly planted: acid, but water, not vinegar; and what lives there dies of it rather than multiplies. */
    public function testAcidEndsWhereNitrifiersDo(): void
    {
        $trace = self::run_(
            [
                'water.kh' => '0.5',
                'water.gh' => '2',
                'feeding.grams' => '0.3',
                'animals.a1.count' => '20',
                'plants.c1.pieces' => '3',
                'plants.c2.pieces' => '1',
            ],
            365,
        );
        self::assertGreaterThan(3.8, $trace->lowest('pH')[0]);
        self::assertLessThan(20.0, $trace->columns['heads'][364]);
    }

    /** 28 °C is the warmest that marshweed bears: 3 °C more slow it, 10 kill it within a summer. */
    #[TestWith(['28 °C', 0.5, 20.0])]
    #[TestWith(['38 °C', 0.0, 0.1])]
    public function testHeatKillsPlants(string $warmth, float $least, float $most): void
    {
        $trace = self::run_(['site.temperature' => $warmth, 'plants.c2.pieces' => '1'], 90);
        $against = $trace->clumps[89][0] / $trace->clumps[0][0];
        self::assertGreaterThanOrEqual($least, $against);
        self::assertLessThanOrEqual($most, $against);
    }

    /** Three small catfish beside fifteen swimmers that could eat all there is: the bottom gets its part, before snails do. */
    public function testFishOfTheBottomFindWhatSinks(): void
    {
        $trace = self::run_(
            [
                'animals.a1.count' => '60', 'animals.add.corydoras-habrosus' => '4', 'animals.add.physella-acuta' => '40',
                'animals.a2.day' => '28',
                'animals.a3.day' => '28', 'feeding.grams' => '0.2',
            ],
            300,
        );
        self::assertGreaterThan(3.8, $trace->heads[299][1]);
    }

    /** Plenty of food does not make a colony without end: it levels off at some twice the rule of thumb. */
    public function testNumbersLevelOffWhereRoomRunsOut(): void
    {
        $plan = Sample::edit(
            Sample::planted(),
            ['feeding.grams' => '0.3', 'care.changeShare' => '50', 'care.changeEvery' => '7', 'site.movement' => 'rippled'],
        );
        $heads = (new Runner($plan))->run(900)->heads[899][0];
        $rule = $plan->netWater() / Sample::catalogue()->animals['heterandria-formosa']->litresEach->value;
        self::assertGreaterThan(1.2 * $rule, $heads);
        self::assertLessThan(2.05 * $rule, $heads);
    }

    /** P: Johnson (1982): 0.037 s⁻¹ at 25 °C, 0.014 at 15 °C; P: Jähne and others (1987): 1.92 × 10⁻⁹ m²/s at 25 °C. */
    public function testCarbonDioxideTurnsSlowlyInColdWater(): void
    {
        self::assertEqualsWithDelta(0.037, GasExchange::hydration(25.0), 0.001);
        self::assertEqualsWithDelta(0.014, GasExchange::hydration(15.0), 0.001);
        self::assertEqualsWithDelta(1.92e-9, GasExchange::diffusion(25.0), 0.02e-9);
    }

    /** A clip lid holds little more than an atmosphere: bubbles stream from leaves before the water holds three times what air gives it. */
    public function testAJarNeverHoldsThriceTheAirsOxygen(): void
    {
        $plan = Sample::edit(
            Plan::starting('Jar', Sample::catalogue()),
            ['plants.add.egeria-densa' => '30', 'site.sealed' => 'yes', 'light.lumens' => '4000'],
        );
        $most = 0.0;
        (new Runner($plan))->run(60, hourly: static function (int $day, int $hour, array $water) use (&$most): void {
            /** @var array<string, float> $water */
            $most = max($most, $water['oxygen']);
        });
        self::assertLessThan(25.0, $most);
        self::assertGreaterThan(9.0, $most);
    }
}
