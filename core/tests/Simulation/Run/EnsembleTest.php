<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\Bar;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\Tornado;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Structure;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

final class EnsembleTest extends TestCase
{
    /**
     * A Latin hypercube: along each dimension every member stands in a stratum of its own, within the range, half on each side of the
     * likely value.
     */
    public function testEveryStratumIsTakenOnce(): void
    {
        $ensemble = new Ensemble(Sample::planted(), 16);
        $members = array_map(static fn (int $n): Parameters => $ensemble->member($n)[1], range(0, 15));
        $likely = (new Parameters())->values();
        self::assertGreaterThan(40, \count(Parameters::ranges()));
        foreach (Parameters::ranges() as $name => $range) {
            $values = array_map(static fn (Parameters $p): float => $p->values()[$name], $members);
            self::assertCount(16, array_unique(array_map(strval(...), $values)), $name);
            self::assertGreaterThanOrEqual($range->low, min($values), $name);
            self::assertLessThanOrEqual($range->high, max($values), $name);
            self::assertCount(8, array_filter($values, static fn (float $v): bool => $v < $likely[$name]), $name);
        }
        $growth = array_map(static fn (int $n): float => $ensemble->member($n)[0]->clumps[0]->kind->growth->value, range(0, 15));
        self::assertCount(16, array_unique(array_map(strval(...), $growth)), 'the kinds differ too');
    }

    public function testEveryRangeHoldsItsLikelyValueAndEveryJudgementHasARange(): void
    {
        $likely = (new Parameters())->values();
        foreach (Parameters::ranges() as $name => $range) {
            self::assertLessThan($likely[$name], $range->low, $name);
            self::assertGreaterThan($likely[$name], $range->high, $name);
        }
        // None is so sure that it is not varied.
        self::assertSame([], array_keys(array_diff_key($likely, Parameters::ranges())));
    }

    public function testTheSameSeedGivesTheSameBand(): void
    {
        $band = new Band(Sample::planted(), 4);
        $members = array_map($band->member(...), range(0, 3));
        $spread = Band::sureness($members)->spreads['oxygen'];
        self::assertLessThan($spread->high, $spread->low);
        self::assertSame(4, $spread->of);
        // A likely tank lies within the spread of its like.
        $oxygen = Judge::judge(Sample::planted())->margin(MarginId::Oxygen)->measure;
        $wide = Band::sureness(array_map((new Band(Sample::planted(), 32))->member(...), range(0, 31)))->spreads['oxygen'];
        self::assertGreaterThan($wide->low, $oxygen);
        self::assertLessThan($wide->high, $oxygen);
    }

    /** What keepers measure or do by eye is varied too, and never beyond what a plan may say. */
    public function testThePlansOwnNumbersDifferWithinItsRules(): void
    {
        $extreme = Sample::edit(Sample::planted(), [
            'water.kh' => '40',
            'water.gh' => '60',
            'water.nitrate' => '50',
            'site.temperature' => '38',
            'light.landing' => '100',
            'feeding.grams' => '0',
        ]);
        foreach ([Sample::planted(), $extreme] as $plan) {
            $ensemble = new Ensemble($plan, 16);
            $members = array_map(static fn (int $n): Plan => $ensemble->member($n)[0], range(0, 15));
            self::assertGreaterThan(1, \count(array_unique(array_map(static fn (Plan $p): string => (string) $p->water->kh, $members))));
            $landings = array_map(static fn (Plan $p): string => (string) $p->lamp->landing, $members);
            self::assertGreaterThan(1, \count(array_unique($landings)));
            self::assertGreaterThan(
                1,
                \count(array_unique(array_map(static fn (Plan $p): string => (string) $p->site->temperature, $members))),
            );
            // At the middle of every range stands the plan itself.
            self::assertEquals($plan->water, $ensemble->only('input food', 0.5)[0]->water);
            self::assertEqualsWithDelta((new Parameters())->values(), $ensemble->only('input food', 0.9)[1]->values(), 1e-9);
        }
        self::assertGreaterThan(Sample::planted()->feed->grams, (new Ensemble(Sample::planted()))->only('input food', 0.9)[0]->feed->grams);
    }

    public function testWhatDecidesATankIsFoundAndWhoCanMeasureIt(): void
    {
        // Twice the fish that it carries well: whether nitrite and nitrate stay low hangs on the pinch of food.
        $plan = Sample::edit(Sample::planted(), ['feeding.grams' => '0.2', 'animals.a1.count' => '20', 'animals.a1.day' => '70']);
        $band = new Band($plan, 32);
        $tornado = Tornado::of($plan, array_map($band->member(...), range(0, 31)));
        self::assertContains($tornado->margin->id, [MarginId::Nitrate, MarginId::Nitrite]);
        self::assertCount(Tornado::SHOWN, $tornado->bars);
        $food = null;
        foreach ($tornado->bars as $bar) {
            $food = 'input food' === $bar->dimension ? $bar : $food;
        }
        self::assertNotNull($food);
        self::assertSame('food a day', $food->words);
        self::assertStringContainsString('scale', $food->measurable);
        self::assertGreaterThan((float) $food->low, (float) $food->high);
        $widths = array_map(static fn (Bar $b): float => abs((float) $b->high - (float) $b->low), $tornado->bars);
        $sorted = $widths;
        rsort($sorted);
        self::assertSame($sorted, $widths);
    }

    /** All hold together in no more tanks than any one margin does alone. */
    public function testHowManyHoldTogether(): void
    {
        $members = [
            ['harm a' => [1.0, false], 'harm b' => [1.0, true], 'c' => [1.0, true]],
            ['harm a' => [1.0, true], 'harm b' => [2.0, false], 'c' => [1.0, true]],
            ['harm a' => [2.0, false], 'harm b' => [2.0, false], 'c' => [1.0, true]],
        ];
        $sure = Band::sureness($members);
        self::assertSame([1, 3], [$sure->together, $sure->of], 'margins are gauges: only harm counts');
        self::assertSame([2, 2, 0], array_map(static fn (string $id): int => $sure->spreads[$id]->holds, ['harm a', 'harm b', 'c']));
        self::assertSame('verdict.sure(holds: 1, of: 3)', Said::plain($sure->message()));
    }

    /** By hand: of 1, 2, 3, 4, 5 the 10th percentile is 1.4, the 90th 4.6. */
    public function testPercentiles(): void
    {
        self::assertEqualsWithDelta(1.4, Band::percentile([1.0, 2.0, 3.0, 4.0, 5.0], 0.1), 1e-12);
        self::assertEqualsWithDelta(4.6, Band::percentile([1.0, 2.0, 3.0, 4.0, 5.0], 0.9), 1e-12);
        self::assertSame(7.0, Band::percentile([7.0], 0.5));
    }

    /** Questions of form are answered the other way in three tanks of ten, and each answer shows in the run. */
    public function testQuestionsOfFormAreAnsweredBothWays(): void
    {
        $lean = Sample::edit(Sample::planted(), ['bed.soil.mix' => 'bagged-topsoil 1, peat 1']);
        $ensemble = new Ensemble($lean, 20);
        $usual = (new Runner($lean))->run(90)->columns;
        foreach (array_keys(Structure::questions()) as $question) {
            $otherwise = \count(
                array_filter(
                    range(0, 19),
                    static fn (int $n): bool => true === get_object_vars($ensemble->member($n)[1]->structure)[$question],
                ),
            );
            self::assertSame(6, $otherwise, $question);
            $other = (new Runner($lean, (new Parameters())->structured(new Structure(...[$question => true]))))->run(90)->columns;
            self::assertNotEquals($usual['plants'], $other['plants'], $question);
            self::assertContains("structure $question", $ensemble->dimensions());
        }
    }

    /** Bands run with steps of two hours: no margin of theirs is moved by a tenth, and none to another state. */
    public function testCoarseStepsMoveLittle(): void
    {
        foreach (
            [
                Sample::planted(),
                Sample::edit(Sample::planted(), ['light.hours' => '9', 'animals.a1.count' => '30', 'feeding.grams' => '0.2']),
            ] as $plan
        ) {
            $runner = new Runner($plan);
            $coarse = Judge::fromTrace($plan, $runner->run(365, UsualCare::events(), Runner::COARSE));
            foreach (Judge::fromTrace($plan, $runner->run(365, UsualCare::events()))->margins as $margin) {
                self::assertSame($margin->state, $coarse->margin($margin->id)->state, $margin->name);
                self::assertEqualsWithDelta(
                    $margin->measure,
                    $coarse->margin($margin->id)->measure,
                    0.1 * abs($margin->measure) + 0.01,
                    $margin->name,
                );
            }
        }
    }
}
