<?php

declare(strict_types=1);

namespace Olvek\Core\Log;

use Olvek\Core\Event\AlgaeSeen;
use Olvek\Core\Event\Event;
use Olvek\Core\Event\EventKind;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\PlannedEvent;
use Olvek\Core\Run\UsualCare;

/**
 * A plan as it has really gone so far: animals are in when they came, ammonia was dosed when it was, and nothing
 * that waits for a gate has happened yet. What a run of it says of days to come holds as long as nothing new is added.
 */
final readonly class ActualPlan
{
    /** @param list<Event> $events what has happened, beside what the plan itself says */
    private function __construct(public Plan $plan, public array $events)
    {
    }

    public static function of(Plan $plan, Log $log): self
    {
        $events = UsualCare::events();
        $ids = [...array_column($plan->clumps, 'id'), ...array_column($plan->groups, 'id')];
        $actual = $plan->withEvents(
            array_values(array_filter($plan->events, static fn (PlannedEvent $o): bool => EventKind::Dose !== $o->kind)),
        );
        foreach ($plan->groups as $group) {
            $lots = $log->of(EventKind::Stock, $group->id);
            $first = array_shift($lots);
            // Those that wait stay in the plan, so that groups keep their places, but far beyond any first weeks.
            $actual = $actual->withGroup(
                $group->with(null === $first ? $group->count : (int) $first->amount, $first->day ?? Plan::LAST_DAY),
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
        foreach ($log->algae as $day => $shows) {
            $events[] = new AlgaeSeen($day, $shows);
        }
        $fed = array_filter($log->of(EventKind::Feed), static fn (LoggedEvent $d): bool => $d->amount > 0);

        return new self([] === $fed ? $actual : $actual->withFeed($actual->feed, reset($fed)->day), $events);
    }
}
