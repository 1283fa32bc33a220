<?php

declare(strict_types=1);

namespace Olvek\Core\Log;

use Olvek\Core\Plan\Group;
use Olvek\Core\Plan\Occasion;
use Olvek\Core\Plan\OccasionKind;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Event\AlgaeSeen;
use Olvek\Core\Run\Event\Change;
use Olvek\Core\Run\Event\Dose;
use Olvek\Core\Run\Event\Event;
use Olvek\Core\Run\Event\Feeding;
use Olvek\Core\Run\Event\MulmOut;
use Olvek\Core\Run\Event\Stock;
use Olvek\Core\Run\UsualCare;

/**
 * A plan as it has really been lived so far: animals are in when they came, ammonia was dosed when it was, and nothing
 * that waits for a gate has happened yet. What a run of it says of days to come holds as long as nothing new is added.
 */
final readonly class Lived
{
    /** @param list<Event> $events what has happened, beside what the plan itself says */
    private function __construct(public Plan $plan, public array $events)
    {
    }

    public static function of(Plan $plan, Log $log): self
    {
        $events = UsualCare::events();
        $lived = $plan->withOccasions(array_values(array_filter($plan->occasions, static fn (Occasion $o): bool => OccasionKind::Dose !== $o->kind)));
        foreach ($plan->groups as $i => $group) {
            $lots = $log->of(DeedKind::Stock, $group->id);
            $first = array_shift($lots);
            // Those that wait stay in the plan, so that groups keep their places, but far beyond any first weeks.
            $lived = $lived->withGroup(new Group($group->id, $group->kind, null === $first ? $group->count : (int) $first->amount, $first->day ?? Plan::LAST_DAY));
            foreach ($lots as $lot) {
                $events[] = new Stock($lot->day, $i, $lot->amount * $group->kind->grams->value);
            }
        }
        foreach ($log->deeds as $deed) {
            $event = match ($deed->kind) {
                DeedKind::Dose => new Dose($deed->day, $deed->amount),
                DeedKind::Change => new Change($deed->day, $deed->amount),
                DeedKind::MeltOut => new MulmOut($deed->day, $deed->amount),
                DeedKind::Feed => new Feeding($deed->day, $deed->amount),
                DeedKind::Stock, DeedKind::Bacteria, DeedKind::Seed, DeedKind::Task => null,
            };
            if (null !== $event) {
                $events[] = $event;
            }
        }
        foreach ($log->algae as $day => $shows) {
            $events[] = new AlgaeSeen($day, $shows);
        }
        $fed = array_filter($log->of(DeedKind::Feed), static fn (Deed $d): bool => $d->amount > 0);

        return new self([] === $fed ? $lived : $lived->withFeed($lived->feed, reset($fed)->day), $events);
    }
}
