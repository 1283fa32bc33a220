<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Event\Deaths;
use Olvek\Core\Planning\Event\Dose;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Event\Feed;
use Olvek\Core\Planning\Event\Fertilise;
use Olvek\Core\Planning\Event\Holiday;
use Olvek\Core\Planning\Event\LampOff;
use Olvek\Core\Planning\Event\Leaves;
use Olvek\Core\Planning\Event\Light;
use Olvek\Core\Planning\Event\MulmOut;
use Olvek\Core\Planning\Event\Plant;
use Olvek\Core\Planning\Event\Remove;
use Olvek\Core\Planning\Event\Spell;
use Olvek\Core\Planning\Event\Stock;
use Olvek\Core\Planning\Event\TakeOut;
use Olvek\Core\Planning\Event\ThinFloaters;
use Olvek\Core\Planning\Event\TopUpWater;
use Olvek\Core\Planning\Event\Trim;
use Olvek\Core\Planning\Event\TrimAbove;
use Olvek\Core\Planning\Event\WaterChange;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Laws of the run: nothing is lost, nothing turns negative, the same plan gives the same bits, the step hardly matters. */
final class MassBalanceTest extends TestCase
{
    /** @return list<Event> every kind of event, over a plan that has clumps and groups */
    private static function eventful(): array
    {
        return [
            new Dose(3, 2.0),
            new WaterChange(5, 0.4),
            new Feed(40, 0.2),
            new Light(20, 12.0, 0.8),
            new LampOff(60, 5),
            new Spell(50, 10, 6.0),
            new Holiday(80, 14),
            new Stock(45, 'a1', 8),
            new TakeOut(90, 'a1', 3),
            new Deaths(70, 'a1', 0.5),
            new Plant(30, 'c1', 6),
            new Trim(55, 'c1', 0.5),
            new Remove(110, 'c2'),
            new Fertilise(66, 0.5, 0.05, 1.0, 0.05),
            new Leaves(25, 4.0),
            new MulmOut(35, 0.6),
            new TopUpWater(100, new SourceWater(6.0, 0.2, 0.2, 0.1)),
            new ThinFloaters(0.4, 0.2),
            new TrimAbove(60.0, 40.0),
            ...UsualCare::events(),
        ];
    }

    public function testTheBooksCloseEveryDayOfAnEventfulYear(): void
    {
        $plan = Sample::edit(
            Sample::edit(Sample::planted(), ['plants.add' => 'salvinia-natans', 'care.changeShare' => '20', 'care.changeEvery' => '30']),
            ['plants.add' => 'epipremnum-aureum'],
        );
        $plan = Sample::edit($plan, [
            'bed.doses.add' => 'limestone',
            'hardscape.add' => 'tufa',
            'animals.add' => 'physella-acuta',
            'plants.c2.planting' => 'deep',
            'water.kh' => '1',
            'site.aspect' => 'south',
            'site.swing' => '4',
        ]);
        Books::close($plan, 365, self::eventful());
    }

    public function testTheBooksCloseInAnyTank(): void
    {
        for ($seed = 1; $seed <= 40; ++$seed) {
            Books::close(Sample::random($seed), 120);
        }
    }

    public function testTheBooksOfASealedVesselClose(): void
    {
        $plan = Sample::edit(Sample::edit(Sample::planted(), ['feeding.grams' => '0']), [
            'site.sealed' => 'yes',
            'plants.add' => 'salvinia-natans',
            'waterLine' => '25 cm',
        ]);
        Books::close($plan, 200);
    }

    /**
     * Two thousand random tanks for a year each, or as many as OLVEK_TANKS says: no failure, only finite numbers, none below 0.
     */
    public function testAnyTankLivesAYear(): void
    {
        $asked = getenv('OLVEK_TANKS');
        $tanks = false === $asked ? 2000 : (int) $asked;
        for ($seed = 1; $seed <= $tanks; ++$seed) {
            $trace = (new Runner(Sample::random($seed)))->run(365, 0 === $seed % 2 ? UsualCare::events() : []);
            foreach ($trace->columns as $column => $values) {
                $least = \in_array($column, ['carbonateHardness', 'exported', 'exportable'], true) ? -\INF : 0.0;
                foreach ($values as $day => $value) {
                    if (!is_finite($value) || $value < $least) {
                        self::fail("seed $seed: $column is $value on day $day");
                    }
                }
            }
            self::assertSame(365, $trace->days());
        }
    }

    public function testTheSamePlanGivesTheSameBits(): void
    {
        $plan = Sample::random(11);
        self::assertSame(
            serialize((new Runner($plan))->run(200, self::twoEvents())),
            serialize((new Runner($plan))->run(200, self::twoEvents())),
        );
    }

    /** @return list<Event> */
    private static function twoEvents(): array
    {
        return [new Dose(3, 2.0), new Spell(50, 10, 6.0)];
    }

    /** Halving the step moves no margin by 2 % of its measure, or by less than any test kit tells. */
    public function testHalvingTheStepMovesNoMargin(): void
    {
        foreach (
            [
                Sample::planted(),
                Sample::edit(Sample::planted(), ['animals.a1.day' => '0', 'animals.a1.count' => '30', 'feeding.grams' => '0.3']),
            ] as $plan
        ) {
            $runner = new Runner($plan);
            $fine = Judge::fromTrace($plan, $runner->run(365, UsualCare::events(), step: 0.5));
            foreach (Judge::fromTrace($plan, $runner->run(365, UsualCare::events()))->margins as $margin) {
                $other = $fine->margin($margin->id);
                self::assertSame($other->state, $margin->state, $margin->name);
                self::assertEqualsWithDelta(
                    $other->measure,
                    $margin->measure,
                    max(0.02 * abs($other->measure), ['nitrate' => 0.3, 'carbon' => 0.02, 'waters' => 0.02][$margin->id->value] ?? 2e-3),
                    $margin->name,
                );
            }
        }
    }

    /** Halving the step moves no column by more than 2 % of its value or range, or by less than any test kit tells. */
    public function testTheStepHardlyMatters(): void
    {
        foreach (
            [
                Sample::planted(),
                Sample::edit(Sample::planted(), ['animals.a1.day' => '0', 'animals.a1.count' => '30', 'feeding.grams' => '0.3']),
            ] as $plan
        ) {
            $runner = new Runner($plan);
            $coarse = $runner->run(120);
            $fine = $runner->run(120, step: 0.5);
            foreach ($coarse->columns as $column => $values) {
                $range = $fine->highest($column)[0] - $fine->lowest($column)[0];
                // The first day settles from water as poured; it is left out.
                foreach (\array_slice($values, 1, null, true) as $day => $value) {
                    self::assertEqualsWithDelta(
                        $fine->columns[$column][$day],
                        $value,
                        max(0.02 * $range, 0.02 * abs($value), 2e-3),
                        "$column on day $day",
                    );
                }
            }
        }
    }

    /** What is written into a logbook happens through the same events: nothing is lost of it. */
    public function testTheBooksOfATankAsItWasLivedClose(): void
    {
        $lived = ActualPlan::of(
            Sample::planted(),
            new Log(
                [],
                [
                    new LoggedEvent(3, EventKind::Dose, 2.0),
                    new LoggedEvent(5, EventKind::Change, 0.4),
                    new LoggedEvent(8, EventKind::MulmOut, 0.5),
                    new LoggedEvent(12, EventKind::Stock, 6, 'a1'),
                    new LoggedEvent(15, EventKind::Feed, 0.03),
                    new LoggedEvent(22, EventKind::Stock, 4, 'a1'),
                    new LoggedEvent(30, EventKind::Feed, 0.0),
                ],
                [6 => false, 13 => true],
            ),
        );
        Books::close($lived->plan, 60, $lived->events);
    }
}
