<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Bed\Release;

/**
 * The bed on a day: soil pools decay, pore water gains, roots and the cap's leak draw on it.
 *
 * dM/dt = flush·k_f + slow·k_s − λM − Σ roots; implicit in both sinks, so that they share what there is.
 *
 * @internal
 */
final class BedDay
{
    /** mg N/L of pore water at which roots feed at half speed. M (0.2–2). */
    private const HALF_PORE = 0.5;
    /** How much of ammonium's way through the cap others go: potassium is held alike; phosphate binds and iron rusts on the way. J (0.3–2; 0.002–0.05). */
    private const POTASSIUM_LEAK = 1.0;
    private const PHOSPHORUS_LEAK = 0.01;
    private const IRON_LEAK = 0.005;

    /**
     * @param float $appetite mg N that roots could take today with plenty
     *
     * @return float mg N that they got
     */
    public static function run(State $s, Day $day, Facts $facts, Books $books, float $age, float $appetite): float
    {
        $p = $facts->parameters;
        $flush = $s->flushNitrogen * (1 - exp(-$p->flushRate * $day->theta));
        $slow = $s->slowNitrogen * (1 - exp(-$p->slowRate * $day->theta));
        $s->flushNitrogen -= $flush;
        $s->slowNitrogen -= $slow;
        $leakRate = $facts->capConductance * Release::stirring($age) / $facts->holdUp;
        $rootRate = $appetite / (self::HALF_PORE * $facts->holdUp + $s->poreNitrogen);
        $s->poreNitrogen = ($s->poreNitrogen + $flush + $slow) / (1 + $leakRate + $rootRate);
        $leak = $leakRate * $s->poreNitrogen;
        $day->ammoniaIn += $leak;

        self::leach($s, min(0.5, $leakRate));

        $quick = $s->quickCarbon * (1 - exp(-$p->quickCarbonRate * $day->theta));
        $old = $s->slowCarbon * (1 - exp(-$p->slowCarbonRate * $day->theta));
        $s->quickCarbon -= $quick;
        $s->slowCarbon -= $old;
        $bubbles = $p->bubbleShare * ($quick + $old);
        $books->carbon -= $bubbles;
        $day->carbonIn += $quick + $old - $bubbles;
        $day->oxygenOut += $p->aerobicShare * ($quick + $old) * WaterHours::OXYGEN_PER_CARBON;

        return $rootRate * $s->poreNitrogen;
    }

    private static function leach(State $s, float $rate): void
    {
        $potassium = self::POTASSIUM_LEAK * $rate * $s->soilPotassium;
        $phosphorus = self::PHOSPHORUS_LEAK * $rate * $s->soilPhosphorus;
        $iron = self::IRON_LEAK * $rate * $s->soilIron;
        $s->soilPotassium -= $potassium;
        $s->potassium += $potassium;
        $s->soilPhosphorus -= $phosphorus;
        $s->phosphorus += $phosphorus;
        $s->soilIron -= $iron;
        $s->iron += $iron;
    }
}
