<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Provenance;

/** Months until what top-up water leaves behind has raised the hardness by half. */
final class MineralCreep implements Criterion
{
    /** Months within which a rise is a fault, and from which a change now and then holds it. J. */
    private const LEAST = 4.0;
    private const GOOD = 9.0;
    /** How many times the first hardness counts as crept up. J. */
    private const RISE = 1.5;
    /** Days in a month, and months beyond which nothing is foretold (J). */
    private const MONTH = 30.44;
    private const LONG = 60.0;
    /** °dH: what a half more means nothing below. J. */
    private const SOFT = 2.0;

    public static function margin(Outlook $outlook): Margin
    {
        $gh = $outlook->trace->columns['generalHardness'];
        $end = $outlook->lastDay();
        $target = max(self::SOFT, self::RISE * $gh[0]);
        $months = self::LONG;
        foreach ($gh as $day => $degrees) {
            if ($degrees >= $target) {
                $months = $day / self::MONTH;
                break;
            }
        }
        $slope = ($gh[$end] - $gh[0]) / max(1, $end);
        if (self::LONG === $months && $slope > 0) {
            $months = min(self::LONG, ($target - $gh[0]) / $slope / self::MONTH);
        }
        $litres = $outlook->trace->mean('evaporated', 0, $end + 1);
        $topUp = $outlook->plan->topUp ?? $outlook->plan->water;
        $long = $months >= self::LONG;

        return new Margin('minerals', 'Mineral creep', $months, self::LEAST, self::GOOD, null, $months, 'months', $long ? 'none' : Margin::text($months, 'months'), 'act below 4 months, good from 9',
            match (true) {
                $months < self::LEAST => 'Topping up raises the hardness by half within '.Decimal::significant($months, 2).' months: top up with rain or reverse osmosis water, or change some.',
                $months < self::GOOD => 'Topping up raises the hardness by half in '.Decimal::significant($months, 2).' months; a small change now and then, or softer top-up water, holds it.',
                $long => 'Hardness stays about where it is.',
                default => 'Hardness creeps up slowly: by half in '.Decimal::significant($months, 2).' months.',
            },
            [
                new Term('general hardness, first and last day', Decimal::significant($gh[0], 2).' and '.Decimal::significant($gh[$end], 2).' °dH'),
                new Term('dries up', Decimal::significant($litres, 2).' L a day', Provenance::Judgement, 'ASHRAE pool formula, a quarter of it for still water'),
                new Term('topped up with', Decimal::significant($topUp->gh, 2).' °dH water'),
                new Term('half more is a worry', 'within 4 to 9 months', Provenance::Judgement),
            ]);
    }
}
