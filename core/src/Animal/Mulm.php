<?php

declare(strict_types=1);

namespace Olvek\Core\Animal;

/** Faeces, crumbs and dead leaves that rot on the bed. */
final class Mulm
{
    /** d⁻¹ at 25 °C. M (0.01–0.06). */
    public const DECAY = 0.03;

    /**
     * mg N per day set free on a day by matter that fell evenly from one day to another:
     * inflow · (1 − e^(−k·(t−from))), then fading after the fall has ended.
     */
    public static function freed(float $inflow, float $from, float $to, float $day, float $temperatureFactor): float
    {
        $end = min($day, $to);
        if ($end <= $from) {
            return 0.0;
        }
        $k = self::DECAY * $temperatureFactor;

        return $inflow * (1 - exp(-$k * ($end - $from))) * exp(-$k * ($day - $end));
    }
}
