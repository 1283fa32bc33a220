<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Care;

use Olvek\Core\Keeping\Care\LightPlan;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** The lamp's programme as a timer is set. */
final class LightPlanTest extends TestCase
{
    /**
     * @param array<string, string> $edits
     *
     * @return list<array{day: int, allDay: bool, stretches: list<array{on: string, off: string}>, percent: int, waitsForAlgae: bool}>
     */
    private static function entries(array $edits): array
    {
        return LightPlan::document(Sample::edit(Sample::planted(), $edits))['entries'];
    }

    public function testOneEntryWhereNothingChanges(): void
    {
        self::assertSame(
            [
                [
                    'day' => 0,
                    'allDay' => false,
                    'stretches' => [['on' => '11:30', 'off' => '19:30']],
                    'percent' => 100,
                    'waitsForAlgae' => false,
                ],
            ],
            self::entries(['light.on' => '11.5']),
        );
        self::assertSame([], self::entries(['light.lumens' => '0']));
    }

    /** 60 % and 15 more a week: days 0, 7, 14, 21 (C: start dim, go up only while no algae show). */
    public function testWeeksOfMoreLight(): void
    {
        $entries = self::entries(['light.startShare' => '60', 'light.stepShare' => '15']);
        self::assertSame(
            [[0, 60, false], [7, 75, true], [14, 90, true], [21, 100, true]],
            array_map(static fn (array $e): array => [$e['day'], $e['percent'], $e['waitsForAlgae']], $entries),
        );
    }

    public function testDayAndNightFirstAndASplitDayPastMidnight(): void
    {
        $entries = self::entries(['light.allDay' => '21', 'light.on' => '17', 'light.pause' => '3', 'light.hours' => '8']);
        self::assertSame([[0, true], [21, false]], array_map(static fn (array $e): array => [$e['day'], $e['allDay']], $entries));
        self::assertSame([['on' => '17:00', 'off' => '21:00'], ['on' => '00:00', 'off' => '04:00']], $entries[1]['stretches']);
    }

    /** What the timer is set to is what the run burns, as long as no algae hold it back. */
    public function testItIsWhatTheRunBurns(): void
    {
        $plan = Sample::edit(Sample::planted(), [
            'light.startShare' => '50',
            'light.stepShare' => '10',
            'light.allDay' => '10',
            'light.held' => 'no',
        ]);
        $columns = (new Runner($plan))->run(60)->columns;
        foreach (LightPlan::of($plan) as $entry) {
            self::assertEqualsWithDelta($entry->share, $columns['lampShare'][$entry->day], 1e-9, "day $entry->day");
            self::assertSame($entry->hours, $columns['lampHours'][$entry->day], "day $entry->day");
        }
    }

    private static function ramped(): Plan
    {
        return Sample::edit(Sample::planted(), ['light.startShare' => '60', 'light.stepShare' => '10']);
    }

    /**
     * @param array<int, bool> $algae
     *
     * @return array<int, int> percent by day on which it changes
     */
    private static function percents(array $algae): array
    {
        return array_column(
            array_map(
                static fn (LightPlan $e): array => [$e->day, (int) round(100 * $e->share)],
                LightPlan::of(self::ramped(), new Log([], [], $algae)),
            ),
            1,
            0,
        );
    }

    /** 60 % and 10 more a week; a week with algae takes the next step back, never below the first. */
    public function testAWeekWithAlgaeTakesTheNextStepBack(): void
    {
        self::assertSame([0 => 60, 7 => 70, 14 => 80, 21 => 90, 28 => 100], self::percents([]));
        self::assertSame([0 => 60, 7 => 70, 14 => 60, 21 => 70, 28 => 80, 35 => 90, 42 => 100], self::percents([12 => true]));
        self::assertSame(
            [0 => 60, 14 => 70, 21 => 80, 28 => 90, 35 => 100],
            self::percents([0 => true]),
            'the day of filling is of the first week',
        );
        self::assertSame(
            [0 => 60, 7 => 70, 14 => 80, 21 => 90, 28 => 100],
            self::percents([9 => true, 13 => false]),
            'who looked last is right',
        );
    }

    /** What the timer is sent and what the run lives by are one. */
    public function testTheRunBurnsTheSameLamp(): void
    {
        foreach (
            [
                [6 => false, 13 => false, 20 => false, 27 => false],
                [6 => false, 12 => true, 20 => false, 27 => false],
                [0 => true, 13 => false, 20 => true, 27 => false],
            ] as $algae
        ) {
            $lived = ActualPlan::of(self::ramped(), new Log([], [], $algae));
            $trace = (new Runner($lived->plan))->run(29, $lived->events);
            $plan = LightPlan::of(self::ramped(), new Log([], [], $algae));
            foreach ([0, 7, 14, 21, 28] as $day) {
                self::assertEqualsWithDelta(LightPlan::on($plan, $day)?->share, $trace->columns['lampShare'][$day], 1e-9, "day $day");
            }
        }
    }

    public function testWhatHoldsAndWhatIsComing(): void
    {
        $plan = LightPlan::of(self::ramped());
        self::assertSame(7, LightPlan::on($plan, 13)?->day);
        self::assertSame([14], array_map(static fn (LightPlan $e): int => $e->day, LightPlan::within($plan, 10, 16)));
        self::assertSame([], LightPlan::within($plan, 29, 35));
        self::assertNull(LightPlan::on(LightPlan::of(Sample::edit(Sample::planted(), ['light.hours' => '0'])), 3), 'no lamp');
        self::assertMatchesRegularExpression('/^60.% from \d\d:\d\d to \d\d:\d\d$/u', LightPlan::on($plan, 0)?->words() ?? '');
    }
}
