<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;

/** Months until what top-up water leaves behind makes the water too hard for one of the plan's own kinds. */
#[Judges(
    'Mineral creep',
    Subject::Water,
    remedies: [Remedy::SoftTopUp, Remedy::Lid, Remedy::WaterChanges],
)]
final class MineralCreep implements Criterion
{
    /** Months within which that is a fault, and from which a change now and then holds it. J. */
    private const LEAST = 4.0;
    private const GOOD = 15.0;
    /** Days in a month, and months beyond which nothing is foretold (J). */
    private const MONTH = 30.44;
    private const LONG = 60.0;
    /** °dH that nearly all bear, for plans without kinds. C. */
    private const USUAL = 25.0;

    public static function margin(Outlook $outlook): Margin
    {
        $gh = $outlook->trace->columns['generalHardness'];
        $end = $outlook->lastDay();
        [$target, $who] = self::hardestBorne($outlook->plan);
        $months = self::LONG;
        foreach ($gh as $day => $degrees) {
            if ($degrees >= $target && $gh[0] < $target) {
                $months = $day / self::MONTH;
                break;
            }
        }
        // The last quarter tells how it goes on.
        $from = intdiv(3 * $end, 4);
        $slope = ($gh[$end] - $gh[$from]) / max(1, $end - $from);
        if (self::LONG === $months && $slope > 0 && $gh[0] < $target) {
            $months = min(self::LONG, ($end + ($target - $gh[$end]) / $slope) / self::MONTH);
        }
        $litres = $outlook->trace->mean('evaporated', 0, $end + 1);
        $topUp = $outlook->plan->topUp ?? $outlook->plan->water;
        $long = $months >= self::LONG;
        $hardness = static fn (float $degrees): string => $outlook->units->about(Dimension::Hardness, $degrees);

        return new Margin(
            MarginId::Minerals,
            $months,
            self::LEAST,
            self::GOOD,
            null,
            $months,
            'months',
            $long ? 'none' : Margin::text($months, 'months'),
            Margin::bound(self::LEAST, self::GOOD, 'months'),
            match (true) {
                $months < self::LEAST => 'Topping up makes the water too hard for '.
                    $who.
                    ' within '.
                    Decimal::significant($months, 2).
                    ' months: top up with rain or reverse osmosis water, or change some.',
                $months < self::GOOD => 'Topping up makes the water too hard for '.
                    $who.
                    ' in '.
                    Decimal::significant($months, 2).
                    ' months; a change now and then, or softer top-up water, holds it.',
                $long => 'Hardness stays within what all that lives here bears.',
                default => 'Hardness creeps up slowly; '.$who.' bears it for '.Decimal::significant($months, 2).' months.',
            },
            [
                new Term('general hardness, first and last day', $hardness($gh[0]).' and '.$hardness($gh[$end])),
                new Term(
                    'dries up',
                    $outlook->units->about(Dimension::Volume, $litres).' a day',
                    Provenance::Judgement,
                    'ASHRAE pool formula, a third of it for still water; outdoors Penman 1948',
                ),
                new Term('topped up with', 'water of '.$hardness($topUp->gh)),
                new Term('too hard from', $hardness($target).', for '.$who, Provenance::CommonPractice),
            ],
        );
    }

    /** @return array{float, string} °dH that the plan's softest kind bears at most, and its name */
    private static function hardestBorne(Plan $plan): array
    {
        $least = [self::USUAL, 'most kinds'];
        foreach ([...$plan->groups, ...$plan->clumps] as $thing) {
            if ($thing instanceof Clump && PlantRole::HousePlant === $thing->kind->role) {
                continue;
            }
            if ($thing->kind->hardest->value < $least[0]) {
                $least = [$thing->kind->hardest->value, $thing->kind->common];
            }
        }

        return $least;
    }
}
