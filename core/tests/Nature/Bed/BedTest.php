<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Bed;

use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\RunConstants;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** All that may lie between glass and cap, by hand in a box of 58.8 × 28.8 cm inside: 1 cm of anything is 1.69344 L. */
final class BedTest extends TestCase
{
    private const PER_CENTIMETRE = (58.8 * 28.8) / 1000;

    /** @param array<string, string> $edits */
    private static function plan(array $edits): Plan
    {
        return Sample::edit(
            Sample::edit(Sample::planted(), [
                'bed.soil.front' => '2',
                'bed.soil.back' => '2',
                'bed.cap.front' => '3',
                'bed.cap.back' => '3',
            ]),
            $edits,
        );
    }

    public function testLeavesLieBetween(): void
    {
        $plan = Sample::edit(self::plan(['bed.leaves.material' => 'fallen-leaves']), ['bed.leaves.front' => '1', 'bed.leaves.back' => '1']);
        $bed = $plan->bed;
        self::assertEqualsWithDelta(self::PER_CENTIMETRE, $bed->leafVolume($plan->vessel), 1e-9);
        self::assertEqualsWithDelta(2 * self::PER_CENTIMETRE, $bed->soilVolume($plan->vessel), 1e-9);
        self::assertEqualsWithDelta(3 * self::PER_CENTIMETRE, $bed->capVolume($plan->vessel), 1e-9);
        self::assertEqualsWithDelta(0.06, $bed->depth(Side::Front), 1e-12);
        $without = self::plan([]);
        self::assertEqualsWithDelta($without->netWater() - self::PER_CENTIMETRE, $plan->netWater(), 1e-9);
        $more = new RunConstants($plan, new Parameters());
        $less = new RunConstants($without, new Parameters());
        self::assertGreaterThan($less->slowCarbon, $more->slowCarbon, 'leaves rot too');
        self::assertContains('Fallen leaves', array_map(static fn ($n): string => $n->material->name, Quantities::of($plan)->materials));
    }

    public function testUnderAPlateIsWater(): void
    {
        $plan = self::plan(['bed.plate' => '2']);
        self::assertEqualsWithDelta(2 * self::PER_CENTIMETRE, $plan->bed->voidVolume($plan->vessel), 1e-9);
        self::assertEqualsWithDelta(2 * self::PER_CENTIMETRE, $plan->bed->soilVolume($plan->vessel), 1e-9);
        self::assertEqualsWithDelta(
            self::plan([])->netWater(),
            $plan->netWater(),
            1e-9,
            'what stands higher gains below what it loses above',
        );
    }

    public function testBagsTakeTheSoilsRoom(): void
    {
        $plan = self::plan(['bed.core' => '1.5']);
        self::assertEqualsWithDelta(2 * self::PER_CENTIMETRE - 1.5, $plan->bed->soilVolume($plan->vessel), 1e-9);
        self::assertEqualsWithDelta(self::plan([])->netWater(), $plan->netWater(), 1e-9);
    }

    /** 4.8 of 28.8 cm without soil: a sixth of it is cap instead, and no root in front finds any. */
    public function testSoilKeptBackFromTheGlass(): void
    {
        $plan = self::plan(['bed.setback' => '4.8', 'plants.add' => 'eleocharis-acicularis']);
        self::assertEqualsWithDelta((2 * self::PER_CENTIMETRE * 5) / 6, $plan->bed->soilVolume($plan->vessel), 1e-9);
        self::assertEqualsWithDelta(self::PER_CENTIMETRE * (3 + 2 / 6), $plan->bed->capVolume($plan->vessel), 1e-9);
        $carpet = $plan->clumps[2];
        self::assertSame(0.0, $plan->soilUnder($carpet));
        self::assertGreaterThan(0.0, self::plan(['plants.add' => 'eleocharis-acicularis'])->soilUnder($carpet));
    }

    #[TestWith(['bed.core', '2.8', 'at most four fifths'])]
    #[TestWith(['bed.setback', '40', 'The strip without soil'])]
    #[TestWith(['bed.plate', '60', 'Gap under the plate'])]
    #[TestWith(['bed.plate', '27', 'must stand at least'])]
    public function testWhatCannotBeBuiltIsRefused(string $place, string $typed, string $why): void
    {
        $this->expectException(InvalidPlan::class);
        $this->expectExceptionMessage($why);
        self::plan([$place => $typed]);
    }

    /** Planted on day 20, a clump is not there on day 19, wants for nothing till then, and melts from its own first day. */
    public function testAClumpComesOnItsDay(): void
    {
        $plan = self::plan(['plants.c2.day' => '20', 'plants.c2.grown' => 'air']);
        $trace = (new Runner($plan))->run(60);
        self::assertSame(0.0, $trace->clumps[19][1]);
        self::assertSame(1.0, $trace->fed[10][1]);
        self::assertEqualsWithDelta($plan->clumps[1]->biomass(), $trace->clumps[20][1], 0.06 * $plan->clumps[1]->biomass());
        $settled = (new Runner(self::plan(['plants.c2.day' => '20', 'plants.c2.grown' => 'water'])))->run(60);
        self::assertLessThan(0.9 * $settled->clumps[40][1], $trace->clumps[40][1], 'pots grown in air melt');
        self::assertGreaterThan(0.0, $trace->on(25)->height($plan, 1));
        self::assertSame(0.0, $trace->on(10)->spread($plan, 1));
    }
}
