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
    private function __construct(public Plan $plan, /** @var list<Event> */ public array $events)
    {
    }

    public static function of(Plan $plan, Log $log): self
    {
        $events = UsualCare::events();
        $index = array_flip(array_map(static fn (Group $g): string => $g->id, $plan->groups));
        $came = [];
        foreach ($log->of(DeedKind::Stock) as $deed) {
            if (null === $deed->of || !isset($index[$deed->of])) {
                continue;
            }
            if (isset($came[$deed->of])) {
                $events[] = new Stock($deed->day, $index[$deed->of], $deed->amount * $plan->groups[$index[$deed->of]]->kind->grams->value);
            } else {
                $came[$deed->of] = $deed;
            }
        }
        $lived = $plan->withOccasions(array_values(array_filter($plan->occasions, static fn (Occasion $o): bool => OccasionKind::Dose !== $o->kind)));
        foreach ($plan->groups as $group) {
            // Those that wait stay in the plan, so that groups keep their places, but far beyond any first weeks.
            $lived = $lived->withGroup(isset($came[$group->id]) ? new Group($group->id, $group->kind, (int) $came[$group->id]->amount, $came[$group->id]->day) : new Group($group->id, $group->kind, $group->count, Plan::LAST_DAY));
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

        return new self([] === $fed ? $lived : $lived->withFeed($lived->feed, min($lived->feedFrom, reset($fed)->day)), $events);
    }
}
