<?php

declare(strict_types=1);

namespace Olvek\Page\Build;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Drawing\View;

/** The tank as far as it is built after a step: the bed from front to back while layers are laid, the whole from the front after. */
final class StepDrawing
{
    public static function of(Plan $plan, string $upTo, UnitSystem $units): View
    {
        $bed = $plan->bed;
        $empty = $plan->withFeed($plan->feed->withGrams(0.0), $plan->feedFrom);
        foreach ($plan->groups as $group) {
            $empty = $empty->withoutGroup($group->id);
        }
        $bare = $empty;
        foreach ($plan->clumps as $clump) {
            $bare = $bare->withoutClump($clump->id);
        }
        if (\in_array($upTo, ['plate', 'base', 'soil', 'leaves', 'cap', 'dressing'], true)) {
            $now = $bare->withPieces([])->withBed($bed->upTo($upTo));

            return Elevation::side($now, Snapshot::planned($now), $units);
        }
        $now = 'hardscape' === $upTo ? $bare : $empty;

        return Elevation::thumbnail($now, Snapshot::planned($now));
    }
}
