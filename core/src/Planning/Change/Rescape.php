<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Grown;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\StartWay;

/**
 * A tank taken apart and set up anew: the same vessel in the same place, with what of it is kept. What is kept comes from the tank
 * itself, so its plants know the water and its stones and bed bring their bacteria.
 */
final class Rescape
{
    /**
     * @param list<string> $kept   ids of clumps, groups, stones and wood
     * @param bool         $bed    the bed stays as it lies, or a part of it goes into the new one
     * @param bool         $water  the water is kept in buckets
     * @param int          $day    on which the animals go back
     *
     * @return list<Change> of the plan that stands
     */
    public static function of(Plan $plan, array $kept, bool $bed, bool $water, int $day): array
    {
        $changes = [
            // What was planned for the days of the old tank is over.
            ...array_map(static fn ($e): Change => new Remove('events', $e->id), $plan->events),
            ...self::gone('plants', array_column($plan->clumps, 'id'), $kept),
            ...self::gone('animals', array_column($plan->groups, 'id'), $kept),
            ...self::gone('hardscape', array_column($plan->pieces, 'id'), $kept),
        ];
        foreach ($plan->clumps as $clump) {
            if (\in_array($clump->id, $kept, true)) {
                $changes[] = new SetNumber("plants.$clump->id.day", 0);
                $changes[] = new Choose("plants.$clump->id.grown", Grown::Water->value);
                $changes[] = new Choose("plants.$clump->id.source", Source::OwnTank->value);
            }
        }
        foreach ($plan->groups as $group) {
            if (\in_array($group->id, $kept, true)) {
                $changes[] = new SetNumber("animals.$group->id.day", $day);
                $changes[] = new SetNumber("animals.$group->id.quarantine", 0);
                $changes[] = new Choose("animals.$group->id.source", Source::OwnTank->value);
            }
        }
        foreach ($plan->pieces as $piece) {
            if (\in_array($piece->id, $kept, true)) {
                $changes[] = new Choose("hardscape.$piece->id.source", Source::OwnTank->value);
            }
        }

        return [
            ...$changes,
            ...[] === array_filter($plan->groups, static fn (Group $g): bool => \in_array($g->id, $kept, true))
                ? [new SetNumber('feeding.grams', 0.0)]
                : [new SetNumber('feeding.fromDay', $day)],
            new StartBy($bed ? StartWay::Borrowed : StartWay::Undecided),
            new Choose('start.inoculum', ($bed ? Inoculum::SeasonedBed : Inoculum::Cuttings)->value),
            ...$water ? [new TakeWater('water', 'running-tank')] : [],
        ];
    }

    /**
     * @param list<string> $ids
     * @param list<string> $kept
     *
     * @return list<Change>
     */
    private static function gone(string $list, array $ids, array $kept): array
    {
        return array_map(static fn (string $id): Change => new Remove($list, $id), array_values(array_diff($ids, $kept)));
    }
}
