<?php

declare(strict_types=1);

namespace Olvek\Core\Care;

use Olvek\Core\Event\EventKind;
use Olvek\Core\Plan\Method;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\StartWay;
use Olvek\Core\Plant\Role;
use Olvek\Core\Run\Trace;
use Olvek\Core\Solve\WeeklyTrim;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\Words;

/** What a plan and its run ask of the keeper through the first year. All C, common practice; amounts from the run. */
final class Care
{
    /** Days over which evaporation is averaged for the weekly top-up. */
    private const SEASON = 90;
    /** Share that a clump must lose from one day to the next to have been cut, not to have faded. J. */
    private const CUT = 0.15;
    /** Ways whose litter is fed on, and days for which it lasts. C. */
    private const LITTERED = [Method::SunnySill, Method::SlowSwamp, Method::VoidPlate];
    private const LEAF_DAYS = 60;
    /** Test days: every so many until a day. C: daily with bottled bacteria, else twice a week at first, then rarer and rarer. */
    private const TESTS = [[3, 28], [7, 84], [30, 365]];

    /** @return list<Task> by day */
    public static function of(Plan $plan, Trace $trace, UnitSystem $units): array
    {
        $tasks = [
            ...self::dated($plan, $units),
            ...self::tests($plan),
            ...self::weekly($plan, $trace, $units),
            ...self::cuts($plan, $trace),
        ];
        usort($tasks, static fn (Task $a, Task $b): int => [$a->day, $a->id] <=> [$b->day, $b->id]);

        return $tasks;
    }

    /** @return list<Task> what the plan says itself */
    private static function dated(Plan $plan, UnitSystem $units): array
    {
        $tasks = [];
        foreach ($plan->clumps as $clump) {
            if ($clump->day > 0) {
                $tasks[] = new Task("plant-$clump->id", $clump->day, \sprintf('Plant %d × %s', $clump->pieces, $clump->kind->common));
            }
        }
        foreach ($plan->groups as $group) {
            $tasks[] = new Task(
                "stock-$group->id",
                $group->day,
                \sprintf('add %d × %s, if ammonia and nitrite read 0', $group->count, $group->kind->common),
                start: true,
            );
        }
        if ($plan->feed->grams > 0) {
            $tasks[] = new Task(
                'feed',
                $plan->feedFrom,
                \sprintf('Begin to feed, %s g a day', Decimal::trimmed($plan->feed->grams, 3)),
                start: true,
            );
        }
        foreach ($plan->events as $event) {
            // Weather and failures are nobody's task.
            if (!$event->kind->happens()->task) {
                continue;
            }
            $share = isset($event->values['share']) ? \sprintf(', %s %%', Decimal::trimmed(100 * $event->values['share'], 0)) : '';
            $tasks[] = new Task("event-$event->id", $event->day, Words::capital($event->kind->words()).$share);
        }
        foreach (\array_slice(LightPlan::of($plan), 1) as $entry) {
            $tasks[] = new Task(
                "light-$entry->day",
                $entry->day,
                \sprintf(
                    'Lamp to %d %% for %s h%s',
                    (int) round(100 * $entry->share),
                    Decimal::trimmed($entry->hours, 2),
                    $entry->gated ? ', if no algae show' : '',
                ),
            );
        }
        if ($plan->care->changeEvery > 0 && $plan->care->changeShare > 0) {
            $tasks[] = new Task(
                'change',
                $plan->care->changeEvery,
                \sprintf(
                    'Change %s of the water (%s %%)',
                    $units->show(Dimension::Volume, $plan->netWater() * $plan->care->changeShare),
                    Decimal::trimmed(100 * $plan->care->changeShare, 0),
                ),
                $plan->care->changeEvery,
            );
        }

        return $tasks;
    }

    /** @return list<Task> */
    private static function tests(Plan $plan): array
    {
        $tasks = [];
        $from = 1;
        foreach (StartWay::Bottled === $plan->preparation->way ? [[1, 14], ...self::TESTS] : self::TESTS as [$every, $until]) {
            $tasks[] = new Task("test-$from", $from, 'Test ammonia, nitrite and nitrate', $every, $until, true);
            $from = $until + $every;
        }

        return $tasks;
    }

    /** @return list<Task> */
    private static function weekly(Plan $plan, Trace $trace, UnitSystem $units): array
    {
        $tasks = [new Task('look', 7, 'Check: headcount, shading, front glass', 7)];
        $litres = 7 * $trace->mean('evaporated', 0, min(self::SEASON, $trace->days()));
        if ($litres > 0.01 && !$plan->site->sealed) {
            $tasks[] = new Task('top-up', 7, \sprintf('Top up, some %s', $units->show(Dimension::Volume, $litres)), 7);
        }
        if ([] !== array_filter($plan->clumps, static fn ($c): bool => $c->kind->role->coversSurface())) {
            $handfuls = self::floatersOut($plan, $trace);
            $tasks[] = new Task(
                'floaters',
                14,
                'Take floaters out, down to a third of the surface'.
                    ($handfuls < 0.2
                        ? ', once there are more'
                        : \sprintf(
                            ': %s handful%s a week on the mean',
                            $handfuls < 0.75 ? 'half a' : Decimal::trimmed($handfuls, 0),
                            $handfuls < 1.5 ? '' : 's',
                        )),
                7,
            );
        }
        if (
            \in_array($plan->preparation->method, self::LITTERED, true)
            || [] !== array_filter($plan->events, static fn ($o): bool => EventKind::Leaves === $o->kind)
        ) {
            $tasks[] = new Task('litter', self::LEAF_DAYS, 'Lay a few dead leaves in, where the old ones are skeletons', self::LEAF_DAYS);
        }

        return $tasks;
    }

    /** Handfuls of floaters that the run's usual care takes out in a week, on the mean of the year. */
    private static function floatersOut(Plan $plan, Trace $trace): float
    {
        $wet = 0.0;
        foreach ($plan->clumps as $i => $clump) {
            for ($day = 1; $clump->kind->role->coversSurface() && $day < $trace->days(); ++$day) {
                $lost = $trace->clumps[$day - 1][$i] - $trace->clumps[$day][$i];
                $wet += $lost > self::CUT * $trace->clumps[$day - 1][$i] ? $lost * $clump->kind->wetRatio->value : 0.0;
            }
        }

        return (7 * $wet) / max(1, $trace->days()) / WeeklyTrim::HANDFUL;
    }

    /** @return list<Task> days on which the run's usual care cuts a clump back */
    private static function cuts(Plan $plan, Trace $trace): array
    {
        $tasks = [];
        foreach ($plan->clumps as $i => $clump) {
            if ($clump->kind->role->coversSurface()) {
                continue;
            }
            for ($day = max(1, $clump->day + 1); $day < $trace->days(); ++$day) {
                $before = $trace->clumps[$day - 1][$i];
                if ($before > $clump->biomass() && $trace->clumps[$day][$i] < (1 - self::CUT) * $before) {
                    $tasks[] = new Task(
                        "cut-$clump->id-$day",
                        $day,
                        'Cut back '.
                            $clump->kind->common.
                            (\in_array($clump->kind->role, [Role::FastStem, Role::SlowStem], true) ? '; tops may be replanted' : ''),
                    );
                }
            }
        }

        return $tasks;
    }
}
