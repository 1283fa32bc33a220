<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Care;

use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Trace;

/** How much of a keeper's time a grown tank takes. All J: by the clock of somebody who knows the tank. */
final class Effort
{
    /** Day by which a tank has grown in: what ends before is the start's work. */
    private const GROWN = 120;
    private const YEAR = 365;
    /** Minutes of a task, by how its id begins. */
    private const MINUTES = [
        'look' => 2.0,
        'top-up' => 3.0,
        'floaters' => 3.0,
        'cut' => 8.0,
        'litter' => 3.0,
        'sponge' => 10.0,
        'heater' => 1.0,
        'yeast' => 10.0,
        'gas' => 2.0,
        'fertilise' => 1.0,
        'aside' => 1.0,
        'ring' => 1.0,
        'mist' => 1.0,
        'tabs' => 10.0,
        'test' => 8.0,
        'open' => 20.0,
    ];
    /** Minutes to get bucket and hose, and for each litre changed. */
    private const CHANGE = 8.0;
    private const CHANGE_A_LITRE = 0.35;
    /** Minutes of feeding a day, and days of the week on which it is done. */
    private const FEEDING = 0.5;
    private const FEEDING_DAYS = 7;

    /** Minutes a week, mean of a year, once the tank has grown in. */
    public static function weekly(Plan $plan, Trace $trace): float
    {
        $minutes = $plan->feed->grams > 0 ? self::FEEDING * self::FEEDING_DAYS : 0.0;
        foreach (Care::of($plan, $trace) as $task) {
            $each = self::of($task, $plan);
            $minutes += match (true) {
                0 === $task->every => $task->day >= self::GROWN ? 7 * $each / (self::YEAR - self::GROWN) : 0.0,
                null === $task->until || $task->until >= self::GROWN => 7 * $each / $task->every,
                default => 0.0,
            };
        }

        return $minutes;
    }

    private static function of(Task $task, Plan $plan): float
    {
        if ('change' === $task->id) {
            return self::CHANGE + self::CHANGE_A_LITRE * $plan->netWater() * $plan->care->changeShare;
        }
        foreach (self::MINUTES as $begins => $minutes) {
            if (str_starts_with($task->id, $begins)) {
                return $minutes;
            }
        }

        return 0.0;
    }
}
