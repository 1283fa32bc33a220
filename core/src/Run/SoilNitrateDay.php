<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

/**
 * The soil's own nitrate on a day: nothing holds it, so it passes the cap as fast as its pore water does; under water the soil runs out of
 * oxygen within a day or two, and what stays is denitrified.
 *
 * dN/dt = −(λ + k)·N, λ what passes the cap over the pores' litres; exact for the day's rates.
 *
 * @internal
 */
final class SoilNitrateDay
{
    public static function run(State $s, Day $day, Facts $facts, Books $books, float $age, float $burrowers): void
    {
        if ($s->soilNitrate <= 0.0) {
            return;
        }
        $leaks = BedDay::passing($facts, $day->celsius, $age, $burrowers) / $facts->pores;
        $rate = $leaks + $facts->parameters->soilDenitrification * $day->theta;
        $gone = $s->soilNitrate * (1 - exp(-$rate));
        $leaked = $gone * $leaks / $rate;
        $s->soilNitrate -= $gone;
        $s->nitrate += $leaked;
        $books->nitrogen -= $gone - $leaked;
    }
}
