<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Change;

use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Giving;
use Olvek\Core\Planning\Change\Rescape;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Grown;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\StartWay;
use Olvek\Core\Planning\Plan\Treatment;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** What goes from one plan into another is said in both, and the runs of both know it. */
final class GivingTest extends TestCase
{
    private static function giver(): Plan
    {
        return Sample::edit(Sample::edit(Sample::planted(), ['hardscape.add' => 'granite', 'plants.c1.seat' => 'bed']), [
            'hardscape.h1.length' => '12 cm',
            'plants.c1.row' => '70',
        ]);
    }

    /** @param list<\Olvek\Core\Planning\Change\Change> $changes */
    private static function made(Plan $plan, array $changes): Plan
    {
        return (new Editor(Sample::catalogue()))->make($plan, $changes)->plan;
    }

    public function testBothPlansSayIt(): void
    {
        $giver = self::giver();
        $giving = new Giving($giver, ['c1' => 10, 'c2' => 9], ['a1' => 4], ['h1'], true, true);
        $taker = self::made(Plan::starting('New', Sample::catalogue()), $giving->taken(7));
        self::assertSame([10, 9], array_column($taker->clumps, 'pieces'));
        self::assertSame([7, 7], array_column($taker->clumps, 'day'));
        self::assertSame([Grown::Water, Grown::Water], array_column($taker->clumps, 'grown'));
        self::assertEqualsWithDelta(0.7, $taker->clumps[0]->row, 1e-9, 'as it stood');
        self::assertSame([[4, 7, Source::OwnTank]], array_map(static fn ($g): array => [$g->count, $g->day, $g->source], $taker->groups));
        self::assertSame(0.12, $taker->pieces[0]->length);
        self::assertSame(Inoculum::SeasonedBed, $taker->inoculum);
        self::assertSame(Treatment::Unchlorinated, $taker->preparation->treatment);
        $after = self::made($giver, $giving->given(60));
        self::assertSame(
            [[EventKind::Trim, 'c1', ['share' => 0.25]], [EventKind::Remove, 'c2', []], [EventKind::TakeOut, 'a1', ['count' => 4]]],
            array_map(static fn ($e): array => [$e->kind, $e->of, $e->values], $after->events),
            '10 of 40 stems, all 9 crypts',
        );
        self::assertSame([], $after->pieces);
        $trace = (new Runner($after))->run(70);
        self::assertLessThan($trace->clumps[58][0], $trace->clumps[60][0]);
        self::assertSame(0.0, $trace->clumps[60][1]);
        self::assertStringContainsString('10 × Ambulia, 9 × Crypt', $giving->words());
    }

    public function testNothingIsNothing(): void
    {
        self::assertTrue((new Giving(self::giver(), ['c1' => 0, 'none' => 3]))->isEmpty());
        self::assertSame([], (new Giving(self::giver()))->taken(0));
        self::assertFalse((new Giving(self::giver(), water: true))->isEmpty());
    }

    public function testAReScapeOfAllKeepsAllAndOfNothingTheVessel(): void
    {
        $plan = Sample::edit(self::giver(), ['events.add.change' => '30', 'plants.c2.day' => '20']);
        $all = self::made($plan, Rescape::of($plan, ['c1', 'c2', 'a1', 'h1'], true, false, 3));
        self::assertCount(2, $all->clumps);
        self::assertSame([0, 0], array_column($all->clumps, 'day'));
        self::assertSame([3], array_column($all->groups, 'day'));
        self::assertSame(3, $all->feedFrom);
        self::assertSame([[], StartWay::Borrowed, Inoculum::SeasonedBed], [$all->events, $all->preparation->way, $all->inoculum]);
        $none = self::made($plan, Rescape::of($plan, [], false, true, 3));
        self::assertSame([[], [], []], [$none->clumps, $none->groups, $none->pieces]);
        self::assertSame(0.0, $none->feed->grams, 'there is nobody to feed');
        self::assertEquals($plan->vessel, $none->vessel);
        self::assertSame(Inoculum::Cuttings, $none->inoculum);
    }
}
