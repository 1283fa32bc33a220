<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;

/** What the plan has written into its days, as marks that can be moved along the year. */
final class YearMarks
{
    private const Y = 13.0;

    /** @return list<Handle> */
    public static function of(Plan $plan, YearChart $chart, UnitSystem $units): array
    {
        $marks = [];
        $mark = static function (string $place, string $label, string $form, int $day) use (&$marks, $chart, $units): void {
            if ($day < $chart->days) {
                $marks[] = Handle::of($place, $label, "mark mark-$form")
                    ->at($chart->x($day), self::Y)
                    ->along(Axis::Across, per: $chart->perDay(), step: 1.0)
                    ->from((float) $day, 0.0, (float) ($chart->days - 1))
                    ->in($units);
            }
        };
        foreach ($plan->clumps as $clump) {
            if ($clump->day > 0) {
                $mark("plants.$clump->id.day", $clump->kind->common.' planted, day', 'plant', $clump->day);
            }
        }
        foreach ($plan->groups as $group) {
            $mark("animals.$group->id.day", \sprintf('%d %s come, day', $group->count, $group->kind->common), 'animal', $group->day);
        }
        foreach ($plan->events as $event) {
            $mark("events.$event->id.day", $event->kind->words().', day', $event->kind->happens()->about->value, $event->day);
        }

        return $marks;
    }
}
