<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Plan\Clump;
use Olvek\Core\Run\Trace;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Provenance;
use Olvek\Core\Water\Carbonate;

/** Carbon dioxide that plants under water find while the lamp burns, over the leanest four weeks. */
final class CarbonSupply implements Criterion
{
    /** mg CO2/L. J: air alone holds about 0.6 in the water. */
    private const LEAST = 0.35;
    private const GOOD = 0.7;

    public static function margin(Outlook $outlook): Margin
    {
        $submerged = array_filter($outlook->plan->clumps, static fn (Clump $c): bool => !$c->kind->role->hasLeavesInAir());
        if ([] === $submerged) {
            return Margin::idle('carbon', 'Carbon', 'not needed', 'No plant here lives on the water’s carbon.');
        }
        $trace = $outlook->trace;
        $least = \INF;
        $last = 0;
        for ($day = Trace::WINDOW; $day <= $outlook->lastDay(); $day += 7) {
            $mean = $trace->mean('carbonDioxide', $day - Trace::WINDOW, $day);
            if ($mean < $least) {
                $least = $mean;
                $last = $day;
            }
        }
        $least = \INF === $least ? $trace->mean('carbonDioxide', 0, $trace->days()) : $least;
        $shown = Decimal::significant($least, 2).' mg/L';

        return Margin::atLeast('carbon', 'Carbon', $least, 'mg/L', self::LEAST, self::GOOD, $last,
            match (true) {
                $least < self::LEAST => "By day $last plants have drawn carbon dioxide down to $shown: only those that use bicarbonate, and those in air, go on growing.",
                $least < self::GOOD => "Carbon dioxide is short: $shown while the lamp burns, around day $last.",
                default => "Soil, animals and air keep at least $shown of carbon dioxide in the water while the lamp burns.",
            },
            [
                new Term('carbon dioxide, leanest four weeks', "$shown, to day $last"),
                new Term('air alone gives', Decimal::significant(Carbonate::co2AtEquilibrium($outlook->plan->site->temperature), 2).' mg/L', Provenance::Published, 'Plummer & Busenberg 1982; 420 ppm'),
                new Term('half growth at', '2 mg/L, or 0.6 for those that use bicarbonate', Provenance::Memory),
                new Term('in the first week', Decimal::significant($trace->mean('carbonDioxide', 0, 7), 2).' mg/L'),
            ]);
    }
}
