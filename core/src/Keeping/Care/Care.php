<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Care;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Nature\Plant\Handful;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Buying\Gas;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Event\WaterChangeRoutine;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Emersion;
use Olvek\Core\Planning\Plan\FloaterKeeping;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Core\Planning\Plan\StartWay;
use Olvek\Core\Simulation\Run\Trace;

/** What a plan and its run ask of the keeper through the first year. All C, common practice; amounts from the run. */
final class Care
{
    /** Days over which evaporation is averaged for the weekly top-up. */
    private const SEASON = 90;
    /** Share that a clump must lose from one day to the next to have been cut, not to have faded. J. */
    private const CUT = 0.15;
    /** Cuts in a year beyond which they are told as one task that comes again. J. */
    private const OFTEN = 3;
    /** Days for which the litter lasts that is fed on. C. */
    private const LEAF_DAYS = 60;
    /** Days after which a sponge is looked at; for which what stands in the air is misted; for which root tabs last. C. */
    private const CLOGS = 60;
    private const MISTED = 28;
    private const TABS_LAST = 180;
    /** Test days: every so many until a day. C: daily with bottled bacteria, else twice a week at first, then rarer and rarer. */
    private const TESTS = [[3, 28], [7, 84], [30, 365]];

    /** @return list<Task> by day */
    public static function of(Plan $plan, Trace $trace): array
    {
        $tasks = [
            ...self::dated($plan),
            ...self::tests($plan),
            ...self::weekly($plan, $trace),
            ...self::cuts($plan, $trace),
        ];
        usort($tasks, static fn (Task $a, Task $b): int => [$a->day, $a->id] <=> [$b->day, $b->id]);

        return $tasks;
    }

    /** @return list<Task> what the plan says itself */
    private static function dated(Plan $plan): array
    {
        $tasks = [];
        foreach ($plan->clumps as $clump) {
            if ($clump->day > 0) {
                $tasks[] = new Task(
                    "plant-$clump->id",
                    $clump->day,
                    new Message('task.plant', ['count' => $clump->pieces, 'plant' => $clump->kind->common]),
                );
            }
        }
        foreach ($plan->groups as $group) {
            $tasks[] = new Task(
                "stock-$group->id",
                $group->day,
                new Message('task.stock', ['count' => $group->count, 'animal' => $group->kind->common]),
                start: true,
                does: self::does(EventKind::Stock, (float) $group->count, $group->id),
            );
            if ($group->quarantine > 0 && $group->day > $group->quarantine) {
                $tasks[] = new Task(
                    "apart-$group->id",
                    $group->day - $group->quarantine,
                    new Message(
                        'task.quarantine',
                        ['count' => $group->count, 'animal' => $group->kind->common, 'days' => $group->quarantine],
                    ),
                    start: true,
                );
            }
        }
        $first = $plan->firstAnimals();
        if ($plan->feed->grams > 0 && null !== $first) {
            // Nobody feeds an empty tank.
            $tasks[] = new Task(
                'feed',
                max($plan->feedFrom, $first),
                new Message('task.feed', ['grams' => $plan->feed->grams]),
                start: true,
                does: self::does(EventKind::Feed, $plan->feed->grams),
            );
        }
        foreach (range(1, 2 * $plan->preparation->firstChanges - 1) as $day) {
            if ($day > 1 && $plan->preparation->changesOn($day)) {
                $tasks[] = new Task(
                    "first-change-$day",
                    $day,
                    new Message(
                        'task.change',
                        [
                            'volume' => Amount::volume($plan->netWater() * $plan->preparation->firstChange),
                            'percent' => 100 * $plan->preparation->firstChange,
                        ],
                    ),
                    does: self::does(EventKind::Change, $plan->preparation->firstChange),
                );
            }
        }
        foreach ($plan->events as $event) {
            // Weather and failures are nobody's task.
            if (!$event->kind->happens()->task) {
                continue;
            }
            $what = Words::capital($event->kind->words());
            $tasks[] = new Task(
                "event-$event->id",
                $event->day,
                isset($event->values['share'])
                    ? new Message('task.event-share', ['event' => $what, 'percent' => 100 * (float) $event->values['share']])
                    : Message::text($what),
                does: null === $event->kind->happens()->done
                    ? null
                    : self::does($event->kind, (float) (array_values($event->values)[0] ?? 0.0), $event->of),
            );
        }
        foreach (\array_slice(LightPlan::of($plan), 1) as $entry) {
            $tasks[] = new Task(
                "light-$entry->day",
                $entry->day,
                new Message(
                    'task.light',
                    ['percent' => (int) round(100 * $entry->share), 'hours' => $entry->hours, 'gated' => $entry->gated ? 'yes' : 'no'],
                ),
                does: self::does(EventKind::Light, $entry->hours),
            );
        }
        foreach (self::changes($plan) as $n => [$from, $every, $share, $until]) {
            $tasks[] = new Task(
                0 === $n ? 'change' : "change-$from",
                $from,
                new Message('task.change', ['volume' => Amount::volume($plan->netWater() * $share), 'percent' => 100 * $share]),
                $every,
                $until,
                does: self::does(EventKind::Change, $share),
            );
        }

        return $tasks;
    }

    /**
     * How often water is changed, from when to when: as the plan's care says, until an event says otherwise.
     *
     * @return array<int, array{int, int, float, int|null}> first day, days between, share, last day that counts
     */
    private static function changes(Plan $plan): array
    {
        $ways = [[0, $plan->care->changeEvery, $plan->care->changeShare]];
        $events = $plan->events;
        usort($events, static fn (PlannedEvent $a, PlannedEvent $b): int => $a->day <=> $b->day);
        foreach ($events as $planned) {
            $event = $planned->event();
            if ($event instanceof WaterChangeRoutine) {
                $ways[] = [$planned->day, $event->every, $event->share];
            }
        }
        $changes = [];
        foreach ($ways as $n => [$since, $every, $share]) {
            if ($every > 0 && $share > 0) {
                // A run changes on days that the interval divides.
                $first = $every * max(1, (int) ceil($since / $every));
                $until = isset($ways[$n + 1]) ? $ways[$n + 1][0] - 1 : null;
                if (null === $until || $first <= $until) {
                    $changes[$n] = [$first, $every, $share, $until];
                }
            }
        }

        return $changes;
    }

    /** @return list<Task> */
    private static function tests(Plan $plan): array
    {
        $tasks = [];
        $from = 1;
        if ($plan->site->sealed) {
            return [];
        }
        foreach (StartWay::Bottled === $plan->preparation->way ? [[1, 14], ...self::TESTS] : self::TESTS as [$every, $until]) {
            $tasks[] = new Task("test-$from", $from, new Message('task.test'), $every, $until, true);
            $from = $until + $every;
        }

        return $tasks;
    }

    /** @return list<Task> */
    private static function weekly(Plan $plan, Trace $trace): array
    {
        if ($plan->site->sealed) {
            return self::jar($plan);
        }
        $look = StartWay::Quarantine === $plan->preparation->way
            ? new Task('look', 1, new Message('task.look-quarantine'), 1)
            : new Task('look', 7, new Message('task.look'), 7);
        $tasks = [$look, ...self::technique($plan)];
        $litres = 7 * $trace->mean('evaporated', 0, min(self::SEASON, $trace->days()));
        if ($litres > 0.01) {
            $tasks[] = new Task('top-up', 7, new Message('task.top-up', ['volume' => Amount::volume($litres)]), 7, does: self::does(
                EventKind::Task,
                round($litres, 2),
                LogAction::TOPPED,
            ));
        }
        $floaters = array_values(array_filter($plan->clumps, static fn ($c): bool => $c->kind->role->coversSurface()));
        if ([] !== $floaters) {
            $handfuls = self::floatersOut($plan, $trace);
            $tasks[] = new Task(
                'floaters',
                14,
                match (true) {
                    $handfuls < 0.2 => new Message('task.floaters-few'),
                    $handfuls < 0.75 => new Message('task.floaters-half'),
                    default => new Message('task.floaters', ['handfuls' => (int) round($handfuls)]),
                },
                7,
                does: self::does(EventKind::Trim, LogAction::THINNED, $floaters[0]->id),
            );
        }
        if (
            true === $plan->preparation->method?->isLittered()
            || [] !== array_filter($plan->events, static fn ($o): bool => EventKind::Leaves === $o->kind)
        ) {
            $tasks[] = new Task(
                'litter',
                self::LEAF_DAYS,
                new Message('task.litter'),
                self::LEAF_DAYS,
                does: self::does(EventKind::Leaves, EventKind::Leaves->amount()->usual ?? 0.0),
            );
        }

        return $tasks;
    }

    /** What the logbook has once a task is done. */
    private static function does(EventKind $kind, float $amount, ?string $of = null): LoggedEvent
    {
        return new LoggedEvent(0, $kind, $amount, $of);
    }

    private static function cut(Clump $clump): LoggedEvent
    {
        return self::does(EventKind::Trim, EventKind::Trim->amount()->usual ?? 0.0, $clump->id);
    }

    /** @return list<Task> of a sealed jar: looked at, and opened by sinking it again only where something must come out */
    private static function jar(Plan $plan): array
    {
        return [
            new Task('look', 7, new Message('task.look-jar'), 7),
            ...[] === $plan->clumps
                ? []
                : [new Task('open', 180, new Message('task.open-jar'), 180)],
        ];
    }

    /** @return list<Task> what heater, filter, gas and ring ask for */
    private static function technique(Plan $plan): array
    {
        $equipment = $plan->equipment;
        $kept = array_filter($plan->clumps, static fn ($c): bool => $c->isKept());
        $aside = array_filter($kept, static fn ($c): bool => FloaterKeeping::Aside === $c->keeping);
        $above = array_filter($plan->clumps, static fn ($c): bool => Emersion::Under !== $c->emersion);

        return [
            ...$equipment->filters()
                ? [
                    new Task(
                        'sponge',
                        $equipment->rinse > 0 ? $equipment->rinse : self::CLOGS,
                        $equipment->rinse > 0
                            ? new Message('task.sponge')
                            : new Message('task.sponge-weak'),
                        $equipment->rinse > 0 ? $equipment->rinse : self::CLOGS,
                        does: self::does(EventKind::Task, 0.0, 'pump-cleaned'),
                    ),
                ]
                : [],
            ...$equipment->hasHeater() ? [new Task('heater', 30, new Message('task.heater'), 30)] : [],
            ...$plan->care->trickle > 0
                ? [new Task('yeast', Gas::YEAST_DAYS, new Message('task.yeast'), Gas::YEAST_DAYS)]
                : [],
            ...$plan->care->gas > 0 ? [new Task('gas', 7, new Message('task.gas'), 7)] : [],
            ...$plan->care->fertilises() ? [
                new Task('fertilise', 7, new Message('task.fertilise'), 7, does: self::does(EventKind::Fertilise, $plan->care->nitrogen)),
            ] : [],
            ...[] !== $aside ? [new Task('aside', 1, new Message('task.aside'), 1)] : [],
            ...[] !== $kept && [] === $aside ? [new Task('ring', 7, new Message('task.ring'), 7)] : [],
            ...[] !== $above ? [new Task('mist', 1, new Message('task.mist'), 1, self::MISTED)] : [],
            ...array_map(
                static fn (Clump $c): Task => new Task(
                    "tabs-$c->id",
                    self::TABS_LAST,
                    new Message('task.tabs'),
                    self::TABS_LAST,
                    does: self::does(EventKind::Task, 0.0, 'root-tabs'),
                ),
                self::tabbed($plan),
            ),
        ];
    }

    /** @return list<Clump> the first root feeder of a bed that lives off root tabs */
    private static function tabbed(Plan $plan): array
    {
        $tabs = array_filter($plan->bed->doses, static fn ($d): bool => 'root-tab' === $d->amendment->id);
        $roots = array_values(
            array_filter(
                $plan->clumps,
                static fn (Clump $c): bool => \in_array($c->kind->role, [PlantRole::Rosette, PlantRole::Runner], true),
            ),
        );

        return [] === $tabs ? [] : \array_slice($roots, 0, 1);
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

        return (7 * $wet) / max(1, $trace->days()) / Handful::WET;
    }

    /** @return list<Task> days on which the run's usual care cuts a clump back */
    private static function cuts(Plan $plan, Trace $trace): array
    {
        $tasks = [];
        foreach ($plan->clumps as $i => $clump) {
            if ($clump->kind->role->coversSurface() || $plan->site->sealed) {
                continue;
            }
            $days = [];
            for ($day = max(1, $clump->day + 1); $day < $trace->days(); ++$day) {
                $before = $trace->clumps[$day - 1][$i];
                if ($before > $clump->biomass() && $trace->clumps[$day][$i] < (1 - self::CUT) * $before) {
                    $days[] = $day;
                }
            }
            $stems = \in_array($clump->kind->role, [PlantRole::FastStem, PlantRole::SlowStem], true) ? 'yes' : 'no';
            // What comes again and again is told as such, by whole weeks: nobody cuts by the day.
            $every = \count($days) > self::OFTEN ? ($days[\count($days) - 1] - $days[0]) / (\count($days) - 1) : 0.0;
            if ($every > 0) {
                $every = 7 * max(1, (int) round($every / 7));
                $tasks[] = new Task(
                    "cut-$clump->id",
                    $days[0],
                    new Message('task.cut-again', ['plant' => $clump->kind->common, 'stems' => $stems]),
                    $every,
                    $days[\count($days) - 1],
                    does: self::cut($clump),
                );
            }
            foreach ($every > 0 ? [] : $days as $day) {
                $tasks[] = new Task(
                    "cut-$clump->id-$day",
                    $day,
                    new Message('task.cut', ['plant' => $clump->kind->common, 'stems' => $stems]),
                    does: self::cut($clump),
                );
            }
        }

        return $tasks;
    }
}
