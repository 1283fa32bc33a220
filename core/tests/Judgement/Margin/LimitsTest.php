<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Each limit just below and just above it: a sound year is run once, and one of its columns is then set to what stands beside a limit.
 * The limits are written here once more, as the trade or the paper states them, so that a slip in a constant shows.
 */
final class LimitsTest extends TestCase
{
    private static ?Trace $year = null;

    /**
     * @return iterable<string, array{string, array<string, float>, MarginState}> margin, columns and what they are set to for
     * the whole year, state
     */
    public static function limits(): iterable
    {
        // Ten least killifish (3 mg/L, GH to 24), marshweed (18 to 29 °C) and crypts.
        yield 'no test shows ammonia' => ['ammonia', ['ammonia' => 0.24, 'unionised' => 0.0, 'pHMost' => 7.0], MarginState::Holds];
        yield 'a test shows it' => ['ammonia', ['ammonia' => 0.26, 'unionised' => 0.0, 'pHMost' => 7.0], MarginState::Tight];
        yield 'half of what harms' => ['ammonia', ['ammonia' => 0.0, 'unionised' => 0.0102], MarginState::Holds];
        yield 'more than half of it' => ['ammonia', ['ammonia' => 0.0, 'unionised' => 0.0104], MarginState::Tight];
        yield 'EIFAC 1970, 0.025 mg NH3/L, not reached' => ['ammonia', ['ammonia' => 0.0, 'unionised' => 0.0205], MarginState::Tight];
        yield 'EIFAC 1970, passed' => ['ammonia', ['ammonia' => 0.0, 'unionised' => 0.0207], MarginState::Fails];
        yield 'nitrite unseen' => ['nitrite', ['nitrite' => 0.099], MarginState::Holds];
        yield 'nitrite seen' => ['nitrite', ['nitrite' => 0.101], MarginState::Tight];
        yield 'nitrite borne' => ['nitrite', ['nitrite' => 0.299], MarginState::Tight];
        yield 'nitrite too high' => ['nitrite', ['nitrite' => 0.301], MarginState::Fails];
        yield 'nitrate of a start' => ['nitrate', ['nitrate' => 29.9 / 4.4268], MarginState::Holds];
        yield 'nitrate over it' => ['nitrate', ['nitrate' => 30.1 / 4.4268], MarginState::Tight];
        yield 'nitrate of a worry, not yet' => ['nitrate', ['nitrate' => 49.9 / 4.4268], MarginState::Tight];
        yield 'nitrate of a worry' => ['nitrate', ['nitrate' => 50.1 / 4.4268], MarginState::Fails];
        yield 'a fifth more oxygen than they need' => ['oxygen', ['oxygen' => 3.61], MarginState::Holds];
        yield 'a little less' => ['oxygen', ['oxygen' => 3.59], MarginState::Tight];
        yield 'a dawn at four fifths of it' => ['oxygen', ['oxygen' => 2.41], MarginState::Tight];
        yield 'a dawn below' => ['oxygen', ['oxygen' => 2.39], MarginState::Fails];
        yield 'pH by lamp light with room' => ['ph', ['pHMost' => 9.59], MarginState::Holds];
        yield 'pH climbing' => ['ph', ['pHMost' => 9.61], MarginState::Tight];
        yield 'pH high' => ['ph', ['pHMost' => 9.79], MarginState::Tight];
        yield 'pH too high' => ['ph', ['pHMost' => 9.81], MarginState::Fails];
        yield 'pH low with room' => ['ph', ['pHLeast' => 6.41, 'pHMost' => 8.0], MarginState::Holds];
        yield 'pH low, a little' => ['ph', ['pHLeast' => 6.39, 'pHMost' => 8.0], MarginState::Tight];
        yield 'pH low' => ['ph', ['pHLeast' => 6.01, 'pHMost' => 8.0], MarginState::Tight];
        yield 'pH too low' => ['ph', ['pHLeast' => 5.99, 'pHMost' => 8.0], MarginState::Fails];
        yield 'carbonate hardness with room' => ['ph', ['carbonateHardness' => 1.51, 'pHMost' => 8.0], MarginState::Holds];
        yield 'carbonate hardness with less' => ['ph', ['carbonateHardness' => 1.49, 'pHMost' => 8.0], MarginState::Tight];
        yield 'carbonate hardness low' => ['ph', ['carbonateHardness' => 0.51, 'pHMost' => 8.0], MarginState::Tight];
        yield 'carbonate hardness spent' => ['ph', ['carbonateHardness' => 0.49, 'pHMost' => 8.0], MarginState::Fails];
        yield 'film that no eye sees' => ['algae', ['algae' => 2.49, 'greenWater' => 0.0], MarginState::Holds];
        yield 'film that shows' => ['algae', ['algae' => 2.51, 'greenWater' => 0.0], MarginState::Tight];
        yield 'film that covers' => ['algae', ['algae' => 4.51, 'greenWater' => 0.0], MarginState::Fails];
        yield 'water not yet green' => ['algae', ['algae' => 0.0, 'greenWater' => 29.9], MarginState::Tight];
        yield 'water green' => ['algae', ['algae' => 0.0, 'greenWater' => 30.1], MarginState::Fails];
        yield 'carbon enough' => ['carbon', ['carbonDioxide' => 0.101, 'carbonDioxideMost' => 5.0], MarginState::Holds];
        yield 'carbon short, which fails nothing' => ['carbon', ['carbonDioxide' => 0.099, 'carbonDioxideMost' => 5.0], MarginState::Tight];
        yield 'carbon dioxide that is borne' => ['carbon', ['carbonDioxide' => 5.0, 'carbonDioxideMost' => 19.9], MarginState::Holds];
        yield 'carbon dioxide at the edge' => ['carbon', ['carbonDioxide' => 5.0, 'carbonDioxideMost' => 20.1], MarginState::Tight];
        yield 'carbon dioxide not yet too much' => ['carbon', ['carbonDioxide' => 5.0, 'carbonDioxideMost' => 29.9], MarginState::Tight];
        yield 'carbon dioxide too much' => ['carbon', ['carbonDioxide' => 5.0, 'carbonDioxideMost' => 30.1], MarginState::Fails];
        yield 'bed sound' => ['bed', ['sulphide' => 0.49], MarginState::Holds];
        yield 'bed rich' => ['bed', ['sulphide' => 0.51], MarginState::Tight];
        yield 'bed not yet foul' => ['bed', ['sulphide' => 0.99], MarginState::Tight];
        yield 'bed foul' => ['bed', ['sulphide' => 1.01], MarginState::Fails];
        yield 'warmth half a degree inside' => ['temperature', ['temperature' => 18.51], MarginState::Holds];
        yield 'warmth at the edge' => ['temperature', ['temperature' => 18.49], MarginState::Tight];
        yield 'a degree too cold' => ['temperature', ['temperature' => 17.01], MarginState::Tight];
        yield 'more than a degree too cold' => ['temperature', ['temperature' => 16.99], MarginState::Fails];
        yield 'a degree too warm' => ['temperature', ['temperature' => 28.99], MarginState::Tight];
        yield 'more than a degree too warm' => ['temperature', ['temperature' => 29.01], MarginState::Fails];
        yield 'hardness borne' => ['waters', ['generalHardness' => 24.9, 'pH' => 7.4], MarginState::Holds];
        yield 'hardness beyond' => ['waters', ['generalHardness' => 30.0, 'pH' => 7.4], MarginState::Tight];
        yield 'hardness far beyond' => ['waters', ['generalHardness' => 40.0, 'pH' => 7.4], MarginState::Fails];
    }

    /** @param array<string, float> $columns */
    #[DataProvider('limits')]
    public function testALimitIsWhereItIsSaidToBe(string $margin, array $columns, MarginState $state): void
    {
        $trace = self::year();
        foreach ($columns as $column => $value) {
            $trace->columns[$column] = array_fill(0, $trace->days(), $value);
        }
        self::assertSame($state, Judge::fromTrace(Sample::planted(), $trace)->margin(MarginId::from($margin))->state);
    }

    /** @return iterable<string, array{float, MarginState}> */
    public static function shares(): iterable
    {
        yield 'lit well' => [0.201, MarginState::Holds];
        yield 'lit dimly' => [0.199, MarginState::Tight];
        yield 'just lit' => [0.091, MarginState::Tight];
        yield 'too dark' => [0.089, MarginState::Fails];
    }

    #[DataProvider('shares')]
    public function testLightForEachClump(float $share, MarginState $state): void
    {
        $trace = self::year();
        $trace->lit = array_map(static fn (array $clumps): array => [0.9, $share], $trace->lit);
        self::assertSame($state, Judge::fromTrace(Sample::planted(), $trace)->margin(MarginId::Light)->state);
    }

    public function testFoodForThePlants(): void
    {
        foreach ([
            [0.301, MarginState::Holds],
            [0.299, MarginState::Tight],
            [0.151, MarginState::Tight],
            [0.149, MarginState::Fails],
        ] as [$share, $state]) {
            $trace = self::year();
            $trace->fed = array_map(static fn (array $clumps): array => array_fill_keys(array_keys($clumps), $share), $trace->fed);
            self::assertSame($state, Judge::fromTrace(Sample::planted(), $trace)->margin(MarginId::Fed)->state, (string) $share);
        }
    }

    public function testMassThatRootedClumpsKeep(): void
    {
        $planted = array_map(static fn ($clump): float => $clump->biomass(), Sample::planted()->clumps);
        foreach ([
            [0.71, MarginState::Holds],
            [0.69, MarginState::Tight],
            [0.36, MarginState::Tight],
            [0.34, MarginState::Fails],
        ] as [$share, $state]) {
            $trace = self::year();
            $trace->clumps = array_map(
                static fn (): array => array_map(static fn (float $grams): float => $share * $grams, $planted),
                $trace->clumps,
            );
            self::assertSame($state, Judge::fromTrace(Sample::planted(), $trace)->margin(MarginId::Mass)->state, (string) $share);
        }
    }

    public function testAnimalsThatAreLost(): void
    {
        $cases = [[10.0, MarginState::Holds], [9.6, MarginState::Holds], [9.4, MarginState::Tight],
            [7.6, MarginState::Tight], [7.4, MarginState::Fails], [40.0, MarginState::Holds]];
        foreach ($cases as [$left, $state]) {
            $trace = self::year();
            $trace->heads = array_map(static fn (): array => [$left], $trace->heads);
            self::assertSame($state, Judge::fromTrace(Sample::planted(), $trace)->margin(MarginId::Losses)->state, (string) $left);
        }
    }

    /** Of what is fed: 0.05 g of flake is 3.2 mg N a day by protein × 0.16 and the plan's own protein. */
    public function testStockThatIsCarried(): void
    {
        $fed = Sample::planted()->feed->nitrogen();
        foreach ([
            [1.21, MarginState::Holds],
            [1.19, MarginState::Tight],
            [0.81, MarginState::Tight],
            [0.79, MarginState::Fails],
        ] as [$times, $state]) {
            $trace = self::year();
            foreach (
                ['exportable' => $times * $fed, 'denitrified' => 0.0, 'soilNitrogen' => 100.0, 'nitrate' => 1.0] as $column => $value
            ) {
                $trace->columns[$column] = array_fill(0, $trace->days(), $value);
            }
            self::assertSame($state, Judge::fromTrace(Sample::planted(), $trace)->margin(MarginId::Stock)->state, (string) $times);
        }
    }

    /**
     * @return iterable<string, array{string, float, float, \Closure(float): array<string, string>, float, float}> margin, where it fails
     * and from where it holds, edits at a place of the scan, and the scan's ends
     */
    public static function scans(): iterable
    {
        yield 'room: litres that killifish want' => [
            'room',
            1.0,
            1.2,
            static fn (float $x): array => ['animals.a1.count' => (string) (int) $x, 'vessel.length' => '41 cm'],
            6.0,
            40.0,
        ];
        yield 'planted floor' => [
            'planted',
            0.4,
            0.5,
            static fn (float $x): array => ['plants.c1.pieces' => (string) (int) $x, 'plants.c2.pieces' => '1'],
            5.0,
            120.0,
        ];
        yield 'cap over soil' => [
            'cap',
            0.8,
            1.0,
            static fn (float $x): array => [
                'bed.soil.front' => '4 cm',
                'bed.soil.back' => '4 cm',
                'bed.cap.front' => \sprintf('%.1f mm', $x),
                'bed.cap.back' => \sprintf('%.1f mm', $x),
            ],
            28.0,
            45.0,
        ];
    }

    /**
     * Walked through step by step, a plan changes state just where it is said to, and both limits are met.
     *
     * @param \Closure(float): array<string, string> $edits
     */
    #[DataProvider('scans')]
    public function testAPlanCrossesEachLimitWhereItIsSaidToBe(
        string $margin,
        float $limit,
        float $good,
        \Closure $edits,
        float $from,
        float $to,
    ): void {
        $nearest = [\INF, \INF, \INF, \INF];
        for ($n = 0; $n <= 60; ++$n) {
            $found = Judge::fromTrace(Sample::edit(Sample::planted(), $edits($from + ($n / 60) * ($to - $from))), self::year())->margin(
                MarginId::from($margin),
            );
            // Practice is never worse than tight.
            $fails = \in_array($margin, ['planted', 'cap'], true) ? MarginState::Tight : MarginState::Fails;
            self::assertSame(
                $found->measure < $limit ? $fails : ($found->measure < $good ? MarginState::Tight : MarginState::Holds),
                $found->state,
                "$margin at $found->measure",
            );
            foreach (
                [$limit - $found->measure, $found->measure - $limit, $good - $found->measure, $found->measure - $good] as $side => $beyond
            ) {
                $nearest[$side] = $beyond >= 0 ? min($nearest[$side], $beyond) : $nearest[$side];
            }
        }
        foreach ($nearest as $side => $beyond) {
            self::assertLessThan(0.1 * $limit, $beyond, "the scan comes near each limit from either side ($side)");
        }
    }

    /** Hardness that climbs to what the softest of its kinds bears, 24 °dH, in so many months; and soil that lasts so many years. */
    public function testWhatIsForetoldOfWaterAndSoil(): void
    {
        foreach ([
            [15.1, MarginState::Holds],
            [14.9, MarginState::Tight],
            [4.1, MarginState::Tight],
            [3.9, MarginState::Fails],
        ] as [$months, $state]) {
            $trace = self::year();
            $hardest = min(
                25.0,
                ...array_map(static fn ($thing): float => $thing->kind->hardest->value, [
                    ...Sample::planted()->clumps,
                    ...Sample::planted()->groups,
                ]),
            );
            $trace->columns['generalHardness'] = array_map(
                static fn (int $day): float => 8.0 + (($hardest - 8.0) * $day) / ($months * 30.44),
                range(0, 364),
            );
            self::assertSame($state, Judge::fromTrace(Sample::planted(), $trace)->margin(MarginId::Minerals)->state, "$months months");
        }
        $parameters = new Parameters();
        $theta = Growth::temperatureFactor(Sample::planted()->site->temperature);
        foreach ([
            [0.81, MarginState::Holds],
            [0.79, MarginState::Tight],
            [0.41, MarginState::Tight],
            [0.39, MarginState::Fails],
        ] as [$years, $state]) {
            // Roots that could use 10 mg N a day, and a ready store that frees a tenth of it so many years from the filling.
            $rate = $parameters->readyRate * $theta;
            $ready = (1.0 / $rate) * exp($rate * (365 * $years - 364));
            $trace = self::year();
            $cases = ['rootNeed' => 10.0, 'rooted' => 1.0, 'soilReady' => $ready, 'soilNitrogen' => $ready, 'soilIron' => 100.0];
            foreach ($cases as $column => $value) {
                $trace->columns[$column] = array_fill(0, 365, $value);
            }
            $trace->fed = array_map(static fn (array $clumps): array => array_fill_keys(array_keys($clumps), 0.1), $trace->fed);
            self::assertSame($state, Judge::fromTrace(Sample::planted(), $trace)->margin(MarginId::Soil)->state, "$years years");
        }
    }

    /** Granules hold the pH from 1 meq of exchange per litre of water, and then down to 5.5 and without carbonate hardness. */
    public function testWhatGranulesHold(): void
    {
        foreach ([[
            '0.53',
            6.39,
            MarginState::Tight,
        ], ['0.54', 6.39, MarginState::Holds], ['2', 5.91, MarginState::Holds], ['2', 5.89, MarginState::Tight],
            ['2', 5.51, MarginState::Tight], ['2', 5.49, MarginState::Fails], ] as [$depth, $pH, $state]) {
            $plan = Sample::edit(Sample::planted(), [
                'bed.soil.material' => 'planted-granules',
                'bed.soil.front' => $depth,
                'bed.soil.back' => $depth,
            ]);
            $exchange = array_sum(array_map(
                static fn (array $part): float => $part[1] * $part[0]->perLitre(static fn (Material $m): float => $m->acidity->value),
                $plan->bed->contents($plan->vessel),
            ));
            self::assertSame('0.53' !== $depth, $exchange > $plan->netWater(), "the bed lies on the side it is meant to at $depth cm");
            $trace = self::year();
            $hardness = '0.53' === $depth ? 8.0 : 0.2;
            foreach (['pHLeast' => $pH, 'pHMost' => 8.0, 'carbonateHardness' => $hardness] as $column => $value) {
                $trace->columns[$column] = array_fill(0, 365, $value);
            }
            $margin = Judge::fromTrace($plan, $trace)->margin(MarginId::PH);
            self::assertSame($state, $margin->state, "pH $pH over $depth cm");
            self::assertStringStartsWith('0.53' === $depth ? 'pH 6 to 9.8, KH from' : 'pH 5.5 to 9.8', $margin->bound);
        }
    }

    private static function year(): Trace
    {
        self::$year ??= (new Runner(Sample::planted()))->run(365, UsualCare::events());

        return clone self::$year;
    }
}
