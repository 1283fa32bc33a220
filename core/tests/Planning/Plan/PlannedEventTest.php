<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Judgement\Margin\Gate;
use Olvek\Core\Judgement\Margin\ShadeMap;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is written into a plan's days: kept, checked, and done by the run. */
final class PlannedEventTest extends TestCase
{
    /** @return iterable<string, array{EventKind}> */
    public static function kinds(): iterable
    {
        foreach (EventKind::plannable() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function testEveryKindIsAddedKeptAndRun(EventKind $kind): void
    {
        $plan = Sample::edit(Sample::planted(), ["events.add.$kind->value" => '30']);
        self::assertSame(30, $plan->events[0]->day);
        $document = new PlanDocument(Sample::catalogue());
        self::assertEquals($plan, $document->fromJson($document->toJson($plan)));
        $with = (new Runner($plan))->run(60);
        $without = (new Runner(Sample::planted()))->run(60);
        self::assertSame($without->columns['ammonia'][29], $with->columns['ammonia'][29], 'nothing before its day');
        self::assertNotSame(serialize($without->columns), serialize($with->columns), 'something after it');
        self::assertSame([], Sample::edit($plan, ['events.e1.remove' => '1'])->events);
    }

    #[TestWith(['events.add', 'party', 'what is to happen'])]
    #[TestWith(['events.e1.day', '2000', 'from 0 to 1095'])]
    #[TestWith(['events.e1.share', '150', 'Share: from 1'])]
    #[TestWith(['events.e1.share', 'much', 'number'])]
    #[TestWith(['events.e1.hours', '3', 'does not know'])]
    #[TestWith(['events.e1.clump', 'c9', 'plan’s clumps'])]
    #[TestWith(['events.e7.day', '3', 'removed already'])]
    public function testBadEntriesAreRefused(string $place, string $typed, string $why): void
    {
        $plan = Sample::edit(Sample::planted(), ['events.add' => 'trim']);
        try {
            Sample::edit($plan, [$place => $typed]);
            self::fail('taken');
        } catch (InvalidPlan $refused) {
            self::assertStringContainsString($why, implode(' ', $refused->messages(\Olvek\Core\Basis\Unit\UnitSystem::Metric)));
        }
    }

    public function testNothingIsTrimmedWherNothingGrows(): void
    {
        $this->expectExceptionMessage('add some first');
        Sample::edit(Sample::edit(Sample::planted(), ['plants.c1.remove' => '1', 'plants.c2.remove' => '1']), ['events.add' => 'trim']);
    }

    public function testWhatWasToBeTrimmedTakesItsTrimsAlong(): void
    {
        $plan = Sample::edit(Sample::planted(), ['events.add' => 'trim', 'events.add.change' => '40']);
        self::assertSame(
            [EventKind::Change],
            array_map(static fn ($o): EventKind => $o->kind, Sample::edit($plan, ['plants.c1.remove' => '1'])->events),
        );
    }

    /** A way of starting brings its bacteria; only the dosed one a dose. */
    public function testAWayOfStartingBringsWhatItNeeds(): void
    {
        $dosed = Sample::edit(Sample::planted(), ['start.way' => 'dosing']);
        self::assertSame([EventKind::Dose], array_map(static fn ($o): EventKind => $o->kind, $dosed->events));
        $borrowed = Sample::edit($dosed, ['start.way' => 'borrowed']);
        self::assertSame([], $borrowed->events);
        self::assertSame('sponge', $borrowed->inoculum->value);
    }

    public function testGatesOpenWhenATestReadsNothing(): void
    {
        $plan = Sample::edit(Sample::planted(), ['start.way' => 'dosing', 'events.add.change' => '40']);
        $trace = (new Runner($plan))->run(120);
        $gate = Gate::of($plan, $trace)[0];
        self::assertGreaterThanOrEqual(21, $gate->day, 'not before its way allows');
        for ($day = $gate->day; $day < $gate->day + 7; ++$day) {
            self::assertLessThan(0.25, $trace->columns['ammonia'][$day]);
            self::assertLessThan(0.1, $trace->columns['nitrite'][$day]);
        }
    }

    /** Under a clump it is darker, under floaters everywhere, and nowhere brighter than on a bare bed. */
    public function testTheShadeMap(): void
    {
        $plan = Sample::edit(Sample::planted(), [
            'plants.c1.place' => '10',
            'plants.c1.row' => '80',
            'plants.c2.place' => '90',
            'plants.c2.row' => '80',
        ]);
        $day = Snapshot::planned($plan);
        $map = ShadeMap::of($plan, $day, 20, 10);
        $open = $map->light[0][10];
        self::assertNotNull($open, 'inside the vessel');
        self::assertEqualsWithDelta($map->most, $open, 1e-9, 'nothing stands in the front’s middle');
        self::assertLessThan(0.8 * $map->most, $map->light[7][2]);
        $floating = Sample::edit($plan, ['plants.add.salvinia-natans' => '2']);
        $half = 0.5 * $floating->clumps[2]->kind->mat->value * $floating->surface();
        $covered = new Snapshot(0, [...$day->clumps, $half], $day->heads, 0.5, 0.0, 0.0, 0.0, 0.0, 8.0, 1.0, 3.0);
        self::assertEqualsWithDelta($open * (1 - 0.86 * 0.5), ShadeMap::of($floating, $covered, 20, 10)->light[0][10], 1e-9);
    }
}
