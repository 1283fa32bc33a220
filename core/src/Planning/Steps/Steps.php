<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

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
    public static function of(Plan $plan): array
    {
        $steps = [];
        foreach (
            [
                new Readying($plan),
                new Laying($plan),
                new Setting($plan),
                new PlantingSteps($plan),
                new FillingSteps($plan),
                new Lighting($plan),
                new Arrivals($plan),
            ] as $chapter
        ) {
            $steps = [...$steps, ...$chapter->steps()];
        }

        return array_values(array_filter($steps));
    }
}
