<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Build;

use Olvek\Core\Build\LightPlan;
use Olvek\Core\Run\Runner;
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
        self::assertSame([['day' => 0, 'allDay' => false, 'stretches' => [['on' => '11:30', 'off' => '19:30']], 'percent' => 100, 'waitsForAlgae' => false]], self::entries(['light.on' => '11.5']));
        self::assertSame([], self::entries(['light.lumens' => '0']));
    }

    /** 60 % and 15 more a week: days 0, 7, 14, 21 (C: start dim, go up only while no algae show). */
    public function testWeeksOfMoreLight(): void
    {
        $entries = self::entries(['light.startShare' => '60', 'light.stepShare' => '15']);
        self::assertSame([[0, 60, false], [7, 75, true], [14, 90, true], [21, 100, true]], array_map(static fn (array $e): array => [$e['day'], $e['percent'], $e['waitsForAlgae']], $entries));
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
        $plan = Sample::edit(Sample::planted(), ['light.startShare' => '50', 'light.stepShare' => '10', 'light.allDay' => '10', 'light.held' => 'no']);
        $columns = (new Runner($plan))->run(60)->columns;
        foreach (LightPlan::of($plan) as $entry) {
            self::assertEqualsWithDelta($entry->share, $columns['lampShare'][$entry->day], 1e-9, "day $entry->day");
            self::assertSame($entry->hours, $columns['lampHours'][$entry->day], "day $entry->day");
        }
    }
}
