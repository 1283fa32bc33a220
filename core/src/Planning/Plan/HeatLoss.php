<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

/**
 * What warmth a tank loses to the air of its room.
 *
 * P: ISO 6946:2017, Building components – Thermal resistance, table 7: surface resistances inside of 0.13 m²K/W where heat flows sideways,
 * 0.10 upward, 0.17 downward; a wall loses 1/(R + thickness/conductivity) W per m² and K. Of the water's own side nothing is counted: water
 * is stirred by its warmth. Evaporation cools too: 2,450 kJ/kg at 20 °C (P: IAPWS-95).
 */
final class HeatLoss
{
    private const SIDEWAYS = 0.13;
    private const UPWARD = 0.10;
    private const DOWNWARD = 0.17;
    /** W/(m K) of soda-lime glass. P: EN 572-1. */
    private const GLASS = 1.0;
    /** m of glass, and m²K/W of the foam sheet and the board below. J. */
    private const PANE = 0.006;
    private const BELOW = 0.3;
    /**
     * W per m² of open water and K by which evaporation grows: mass transfer goes with the vapour's pressure, 1.7 hPa a kelvin near 22 °C,
     * of which the quiet surface lets a third pass. J after the run's evaporation (0.35 of the pool formula at 0.089 W/(m² Pa)).
     */
    private const EVAPORATION = 0.35 * 0.089 * 170.0;
    /** Share of it under a lid, and times its air film that a lid adds. J. */
    private const UNDER_LID = 0.2;
    /** W that heaters are sold with. C. */
    private const SOLD = [10, 25, 50, 75, 100, 150, 200, 250, 300];

    /** W per K that the water is warmer than the air. */
    public static function perKelvin(Plan $plan): float
    {
        $line = $plan->waterLine;
        $walls = $plan->vessel->wallArea(0.0, $line) / (self::SIDEWAYS + self::PANE / self::GLASS);
        $bottom = $plan->vessel->footprint() / (self::DOWNWARD + self::BELOW);
        $covered = $plan->site->lid || $plan->site->sealed;
        $top = $plan->surface() * ($covered
            ? 1 / (2 * self::UPWARD) + self::UNDER_LID * self::EVAPORATION
            : 1 / self::UPWARD + self::EVAPORATION);

        return $walls + $bottom + $top;
    }

    /** W that hold the water at so many °C where it would stand at so many unheated. */
    public static function watts(Plan $plan, float $held, float $unheated): float
    {
        return max(0.0, $held - $unheated) * self::perKelvin($plan);
    }

    /** W of the next heater that is sold and is not driven all the time: a third above the need. C. */
    public static function sold(float $watts): float
    {
        foreach (self::SOLD as $size) {
            if ($size >= 4 / 3 * $watts) {
                return (float) $size;
            }
        }

        return 100 * ceil(4 / 3 * $watts / 100);
    }
}
