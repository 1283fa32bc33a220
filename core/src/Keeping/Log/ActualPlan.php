<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\AlgaeSeen;
use Olvek\Core\Planning\Event\Counted;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Event\FromDay;
use Olvek\Core\Planning\Event\WaterChangeRoutine;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Core\Simulation\Run\UsualCare;

/**
 * A plan as it has really gone so far: animals are in when they came, ammonia was dosed when it was, and nothing
 * that waits for a gate has happened yet. What a run of it says of days to come holds as long as nothing new is added.
 */
final readonly class ActualPlan
{
    /** Days between what was planned and what was logged, up to which one is the other. J. */
    private const SAME = 7;

    /** @param list<Event> $events what has happened, beside what the plan itself says */
    private function __construct(public Plan $plan, public array $events)
    {
    }

    /**
     * A start, on its way: what the plan's events say happens, but for doses and animals, which wait for their gates.
     */
    public static function of(Plan $plan, Log $log): self
    {
        $actual = $plan->withEvents(
            array_values(array_filter($plan->events, static fn (PlannedEvent $o): bool => EventKind::Dose !== $o->kind)),
        );

        return self::made($actual, $log, UsualCare::events(), null);
    }

    /**
     * A tank in its life: what the logbook says up to a day, and from then on what the plan says. What was planned and not logged has
     * happened or not (unlogged()).
     *
     * @param \Closure(PlannedEvent): bool $happened of those that are not logged
     */
    public static function upTo(Plan $plan, Log $log, int $today, \Closure $happened): self
    {
        $kept = array_values(array_filter(
            $plan->events,
            static fn (PlannedEvent $o): bool => $o->day > $today || (!self::isLogged($o, $log, $today) && $happened($o)),
        ));
        // Whoever writes down what was cut has cut nothing else.
        $cuts = [...$log->of(EventKind::Trim), ...$log->of(EventKind::Remove)];
        $care = [] === $cuts
            ? UsualCare::events()
            : array_map(static fn (Event $e): Event => new FromDay($e, $today + 1), UsualCare::events());
        // The same for changes of water: those that come again and again begin anew with the plan's care tomorrow.
        $planned = [] === $log->of(EventKind::Change)
            ? $plan->withEvents($kept)
            : $plan->withEvents(array_values(array_filter(
                $kept,
                static fn (PlannedEvent $o): bool => EventKind::Changes !== $o->kind || $o->day > $today,
            )));
        if ([] !== $log->of(EventKind::Change)) {
            $care[] = new WaterChangeRoutine(0, 0, 0.0);
            $care[] = self::changes($plan, $today);
        }

        return self::made($planned, $log->upTo($today), $care, $today);
    }

    /** @return list<PlannedEvent> what was to happen up to a day and stands in no logbook: only the keeper knows */
    public static function unlogged(Plan $plan, Log $log, int $today): array
    {
        return array_values(array_filter(
            $plan->events,
            static fn (PlannedEvent $o): bool => $o->day <= $today
                && !\in_array($o->kind, [EventKind::Changes, EventKind::Task], true)
                && !self::isLogged($o, $log, $today),
        ));
    }

    /** How often water is changed from tomorrow on. */
    private static function changes(Plan $plan, int $today): WaterChangeRoutine
    {
        $now = new WaterChangeRoutine($today + 1, $plan->care->changeEvery, $plan->care->changeShare);
        $last = -1;
        foreach ($plan->events as $planned) {
            $event = $planned->event();
            if ($event instanceof WaterChangeRoutine && $planned->day <= $today && $planned->day >= $last) {
                $last = $planned->day;
                $now = new WaterChangeRoutine($today + 1, $event->every, $event->share);
            }
        }

        return $now;
    }

    private static function isLogged(PlannedEvent $planned, Log $log, int $today): bool
    {
        foreach ($log->of($planned->kind, $planned->of) as $logged) {
            if ($logged->day <= $today && abs($logged->day - $planned->day) <= self::SAME) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<Event> $events what is done without being planned or logged
     * @param int|null    $today  animals that are to come later stay planned; null where all wait for their gates
     */
    private static function made(Plan $actual, Log $log, array $events, ?int $today): self
    {
        $ids = [...array_column($actual->clumps, 'id'), ...array_column($actual->groups, 'id')];
        foreach ($actual->groups as $group) {
            $lots = $log->of(EventKind::Stock, $group->id);
            $first = array_shift($lots);
            // Those that wait stay in the plan, so that groups keep their places, but far beyond any first weeks.
            $waits = null !== $today && $group->day > $today ? $group->day : Plan::LAST_DAY;
            $actual = $actual->withGroup(
                $group->with(null === $first ? $group->count : (int) $first->amount, $first->day ?? $waits),
            );
            foreach ($lots as $lot) {
                $events[] = $lot->event();
            }
        }
        foreach ($log->events as $logged) {
            // Groups are counted above, and what is gone from the plan is of no account; the plan's first bacteria stand for those that
            // were brought.
            if (EventKind::Stock !== $logged->kind && (null === $logged->kind->of() || \in_array($logged->of, $ids, true))) {
                $events[] = $logged->event();
            }
        }
        foreach ($log->readings as $reading) {
            if (Measure::Heads === $reading->measure && null !== $reading->of && \in_array($reading->of, $ids, true)) {
                $events[] = new Counted($reading->day, $reading->of, (int) $reading->value);
            }
        }
        foreach ($log->algae as $day => $shows) {
            $events[] = new AlgaeSeen($day, $shows);
        }
        $fed = array_filter($log->of(EventKind::Feed), static fn (LoggedEvent $d): bool => $d->amount > 0);

        return new self([] === $fed ? $actual : $actual->withFeed($actual->feed, reset($fed)->day), $events);
    }
}
