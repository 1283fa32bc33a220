<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Core\Planning\Plan\Problem;

/** A proposal is of days to come: what is built, planted and has been done cannot be done otherwise any more. */
final class FutureOnly
{
    /** @throws InvalidPlan where another plan differs in what is past */
    public static function check(Plan $plan, Plan $then, int $today): void
    {
        $groups = array_column($plan->groups, null, 'id');
        $problems = [];
        foreach ($then->groups as $group) {
            if (!isset($groups[$group->id]) && $group->day <= $today) {
                $problems[] = new Problem(
                    "animals.$group->id.day",
                    "Say a day after today, day $today, on which they come: animals.add.{$group->kind->id}=\"6 on ".($today + 1).'".',
                );
            }
        }
        $past = static fn (Plan $p): array => array_filter($p->events, static fn (PlannedEvent $e): bool => $e->day <= $today);
        if ([] === $problems && serialize($past($then)) !== serialize($past($plan))) {
            $problems[] = new Problem('events', "This would change what is past: say a day after today, day $today.");
        }
        $bare = static fn (Plan $p): Plan => array_reduce(
            array_diff(array_column($p->groups, 'id'), array_keys($groups)),
            static fn (Plan $q, string $id): Plan => $q->withoutGroup($id),
            $p->withEvents([]),
        );
        if ([] === $problems && serialize($bare($then)) !== serialize($bare($plan))) {
            $problems[] = new Problem(
                '',
                'This would change the tank from its first day. Say it as something that happens: events.add.KIND="DAY …".',
            );
        }
        if ([] !== $problems) {
            throw new InvalidPlan($problems);
        }
    }
}
