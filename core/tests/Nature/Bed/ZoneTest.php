<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Bed;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\Laid;
use Olvek\Core\Nature\Bed\Purpose;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Planning\Plan\RefusedEdit;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A bed that is not the same everywhere. */
final class ZoneTest extends TestCase
{
    /** @param array<string, string> $edits */
    private static function with(Purpose $purpose, array $edits = []): Plan
    {
        return Sample::edit(Sample::edit(Sample::planted(), ['zones.add' => $purpose->value]), $edits);
    }

    /**
     * 58.8 × 28.8 cm of floor, 16.93 dm²; the foreground takes its first 30 %, 5.08 dm²: 3 cm of sand there are 1.52 L, and the soil of
     * 2.5 cm lies on 70 %: 2.96 L.
     */
    public function testQuantitiesByHand(): void
    {
        $plan = self::with(Purpose::Foreground);
        $litres = array_column(array_map(static fn (Laid $l): array => [$l->layer, $l->litres], $plan->bed->laid($plan->vessel)), 1, 0);
        self::assertEqualsWithDelta(1.524, $litres['z1.cap'], 0.002);
        self::assertEqualsWithDelta(2.963, $litres['soil'], 0.002);
        // The cap goes from 3 cm to 4 cm: 5.93 L in all, less 5.08 dm² of 3.15 cm.
        self::assertEqualsWithDelta(5.927 - 1.600, $litres['cap'], 0.01);
    }

    /** @return iterable<string, array{Plan}> */
    public static function beds(): iterable
    {
        foreach (Purpose::cases() as $purpose) {
            yield $purpose->value => [self::with($purpose)];
        }
        yield 'a plate under all, a lowest and a top layer' => [
            self::with(Purpose::Terrace, [
                'bed.plate' => '2 cm',
                'bed.base.material' => 'lava',
                'bed.dressing.material' => 'coarse-gravel',
                'waterLine' => '34 cm',
            ]),
        ];
        yield 'a plate under a part' => [self::with(Purpose::Foreground, ['bed.plate' => '2 cm', 'bed.plateTo' => '40'])];
        yield 'pots' => [self::with(Purpose::Rear, ['bed.pots' => '4', 'bed.potLitres' => '0.5 L'])];
        yield 'bags' => [self::with(Purpose::LeftBank, ['bed.core' => '0.5 L', 'zones.z1.front' => '40'])];
        for ($n = 0; $n < 60; ++$n) {
            $dice = new \Random\Randomizer(new \Random\Engine\Mt19937(900 + $n));
            $split = $dice->getInt(20, 80);
            $edits = [
                'zones.z1.left' => '0',
                'zones.z1.right' => (string) $split,
                'zones.z1.front' => '0',
                'zones.z1.back' => (string) $dice->getInt(10, 100),
                'zones.z1.soil' => $dice->getInt(0, 50).' mm', 'zones.z1.cap' => $dice->getInt(0, 80).' mm',
                'bed.soil.front' => $dice->getInt(0, 30).' mm', 'bed.cap.back' => $dice->getInt(20, 60).' mm',
                'bed.plate' => $dice->getInt(0, 1) * 15 .' mm',
            ];
            yield "random $n" => [self::with(Purpose::Rear, $edits)];
        }
    }

    /** What is laid, bags and water under the plate add up to what lies below the upper face; pots stand in the water. */
    #[DataProvider('beds')]
    public function testQuantitiesAddUp(Plan $plan): void
    {
        $bed = $plan->bed;
        $laid = array_sum(array_map(static fn (Laid $l): float => 'pots' === $l->layer ? 0.0 : $l->litres, $bed->laid($plan->vessel)));
        self::assertEqualsWithDelta($bed->volume($plan->vessel), $laid + $bed->core + $bed->voidVolume($plan->vessel), 1e-6);
        $materials = array_sum(array_map(static fn ($n): float => $n->litres, Quantities::of($plan)->materials));
        self::assertEqualsWithDelta($laid + $bed->potted(), $materials, 1e-9);
        self::assertEqualsWithDelta(
            $plan->vessel->volumeBelow($plan->waterLine) + $bed->voidVolume($plan->vessel),
            $plan->netWater() + $bed->volume($plan->vessel) + $bed->potted(),
            1e-9,
        );
        $document = new PlanDocument(Sample::catalogue());
        self::assertEquals($plan, $document->fromJson($document->toJson($plan)));
    }

    public function testAZoneOfACylinderTakesItsShareOfTheCircle(): void
    {
        $plan = self::with(Purpose::Rear, ['vessel.shape' => 'cylinder', 'zones.z1.front' => '50']);
        self::assertEqualsWithDelta(0.5, Bed::share($plan->bed->zones[0], $plan->vessel), 1e-6);
        // Less than a tenth of a circle lies beyond 85 % of its breadth: (acos 0.7 − 0.7 √0.51)/π = 0.094.
        $plan = Sample::edit($plan, ['zones.z1.front' => '85']);
        self::assertEqualsWithDelta(0.094, Bed::share($plan->bed->zones[0], $plan->vessel), 1e-3);
    }

    public function testWhatStandsInAZoneRootsInItsSoil(): void
    {
        $plan = self::with(Purpose::Foreground, ['plants.c1.row' => '10', 'plants.c2.row' => '80']);
        self::assertSame(0.0, $plan->soilUnder($plan->clumps[0]), 'sand alone');
        self::assertEqualsWithDelta(0.025, $plan->soilUnder($plan->clumps[1]), 1e-9);
        $rich = Sample::edit($plan, ['zones.z1.soil' => '20 mm']);
        self::assertEqualsWithDelta(0.02, $rich->soilUnder($rich->clumps[0]), 1e-9);
        $potted = Sample::edit($plan, ['plants.c1.seat' => 'pot', 'bed.pots' => '2']);
        $grown = static fn (Plan $p): float => (new Runner($p))->run(120)->clumps[119][0];
        self::assertGreaterThan($grown($plan), $grown($potted), 'its pot feeds it');
    }

    public function testATerraceStandsNearerTheLamp(): void
    {
        $flat = Sample::edit(Sample::planted(), ['plants.c2.place' => '80', 'plants.c2.row' => '80']);
        $terrace = Sample::edit(Sample::edit($flat, ['zones.add' => 'terrace']), ['zones.z1.soil' => '6 cm', 'zones.z1.cap' => '6 cm']);
        self::assertEqualsWithDelta(0.12 - 0.06, $terrace->top($terrace->clumps[1]) - $flat->top($flat->clumps[1]), 1e-9);
    }

    public function testSoilNeedsItsCapInAZoneToo(): void
    {
        $sound = self::with(Purpose::Terrace);
        $thin = Sample::edit($sound, ['zones.z1.soil' => '6 cm', 'zones.z1.cap' => '2 cm']);
        $cap = static fn (Plan $p): string => Judge::judge($p)->margin(MarginId::Cap)->sentence;
        self::assertStringContainsString('terrace', $cap($thin));
        self::assertStringNotContainsString('terrace', $cap($sound));
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function refused(): iterable
    {
        yield 'ends before it begins' => [['zones.z1.right' => '50'], 'end beyond'];
        yield 'over the water' => [['zones.z1.cap' => '40 cm'], 'water line'];
        yield 'soil as cap' => [['zones.z1.capKind' => 'peat'], 'holds nothing down'];
        yield 'no soil to lay' => [['bed.soil.material' => 'none'], 'no soil to lay'];
        yield 'two in one place' => [['zones.add' => 'rear'], 'lies over'];
    }

    /** @param array<string, string> $edits */
    #[DataProvider('refused')]
    public function testWhatCannotBe(array $edits, string $words): void
    {
        try {
            self::with(Purpose::Terrace, $edits);
            self::fail('taken');
        } catch (InvalidPlan|RefusedEdit $refused) {
            self::assertStringContainsString($words, $refused->getMessage());
        }
    }
}
