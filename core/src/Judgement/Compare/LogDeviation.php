<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;

/** What was done to a tank by its logbook, held against what its plan has for those days. */
final class LogDeviation
{
    /** @return list<Difference> by kind of event and whom it concerns, where the logbook has another number of times */
    public static function beside(Plan $plan, Log $log, int $today): array
    {
        $names = [
            ...array_map(static fn ($c): string => $c->kind->common, array_column($plan->clumps, null, 'id')),
            ...array_map(static fn ($g): string => $g->kind->common, array_column($plan->groups, null, 'id')),
        ];
        $times = [];
        foreach ($plan->events as $planned) {
            if ($planned->day <= $today) {
                self::count($times, $planned->kind, $planned->of, 0);
            }
        }
        foreach ($plan->groups as $group) {
            if ($group->day <= $today) {
                self::count($times, EventKind::Stock, $group->id, 0);
            }
        }
        foreach ($log->upTo($today)->events as $logged) {
            if (EventKind::Task !== $logged->kind) {
                self::count($times, $logged->kind, $logged->of, 1);
            }
        }
        $all = [];
        foreach ($times as $key => [$planned, $done]) {
            [$kind, $of] = [...explode(' ', $key, 2), ''];
            if ($planned !== $done) {
                $all[] = new Difference(
                    Part::Events,
                    "log.$key",
                    Words::capital(EventKind::from($kind)->words()).('' === $of ? '' : ', '.($names[$of] ?? $of)),
                    0 === $planned ? 'not planned by then' : 'planned '.self::often($planned),
                    0 === $done ? 'not logged' : self::often($done),
                );
            }
        }

        return $all;
    }

    /** @param array<string, array{int, int}> $times planned and done, by kind and whom */
    private static function count(array &$times, EventKind $kind, ?string $of, int $which): void
    {
        $key = rtrim("$kind->value $of");
        [$planned, $done] = $times[$key] ?? [0, 0];
        $times[$key] = 0 === $which ? [$planned + 1, $done] : [$planned, $done + 1];
    }

    private static function often(int $times): string
    {
        return 1 === $times ? 'once' : "$times times";
    }
}
