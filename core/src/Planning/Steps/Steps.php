<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;

/**
 * The steps by which this plan is built, from the empty vessel to the last animal; only those that it needs. All C, common practice;
 * minutes J.
 */
final readonly class Steps
{
    /** The step from which a tank's days are counted. */
    public const FILL = 'fill';

    /** @return list<Step> */
    public static function of(Plan $plan, UnitSystem $units): array
    {
        $steps = [];
        foreach (
            [
                new Readying($plan, $units),
                new Laying($plan, $units),
                new Setting($plan, $units),
                new PlantingSteps($plan, $units),
                new FillingSteps($plan, $units),
                new Lighting($plan, $units),
                new Arrivals($plan, $units),
            ] as $chapter
        ) {
            $steps = [...$steps, ...$chapter->steps()];
        }

        return array_values(array_filter($steps));
    }
}
