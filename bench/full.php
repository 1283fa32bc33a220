<?php

declare(strict_types=1);

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Basis\Unit\UnitSystem;

/** A full tank: the demo's first, with twelve clumps and six groups. */
function fullPlan(): Plan
{
    $catalogue = Catalogue::shipped();
    $editor = new Editor($catalogue);
    $full = (new PlanDocument($catalogue))->fromJson((string) file_get_contents(dirname(__DIR__) . '/demo/waiting-hall.plan.json'));
    foreach (array_slice(array_keys($catalogue->plants), 0, 12 - count($full->clumps)) as $kind) {
        $full = $editor->apply($full, ['plants.add' => $kind], UnitSystem::Metric)->plan;
    }
    foreach (array_slice(array_keys($catalogue->animals), 1, 6 - count($full->groups)) as $kind) {
        $full = $editor->apply($full, ['animals.add' => $kind], UnitSystem::Metric)->plan;
    }

    return $full;
}
