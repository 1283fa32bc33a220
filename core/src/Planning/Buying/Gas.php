<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Nature\Water\GasExchange;
use Olvek\Core\Planning\Plan\Plan;

/** How much carbon dioxide a plan lets in, and how long its source lasts. */
final class Gas
{
    /** m/d at which oxygen passes still water. M (0.3–1). */
    private const STILL = 0.5;
    /** mg/L in water that stands under the air of a room. M (0.5–1.2). */
    private const AIR = 0.8;
    /** Share of what bubbles that dissolves. J (0.3–0.8). */
    private const DISSOLVES = 0.5;
    /** mg of the gas in a bubble of a counter, 0.1 mL at 20 °C: 44.01 g in 24.06 L. P: ideal gas; the bubble, M. */
    private const BUBBLE = 0.183;
    /** g of gas that a gram of sugar gives: C6H12O6 → 2 C2H5OH + 2 CO2, 2 × 44.010 / 180.156. P: Gay-Lussac (1810); IUPAC weights. */
    private const SUGAR = 0.4886;
    /** Share of the sugar that yeast ferments before it dies. J (0.6–0.9). */
    private const FERMENTED = 0.8;
    /** Days that a bottle of yeast works. C (two to four weeks). */
    public const YEAST_DAYS = 21;

    /** g a day that a bottle lets in, to hold what the plan wants while the lamp is on. */
    public static function daily(Plan $plan): float
    {
        $metres = self::STILL * $plan->exchange() * GasExchange::CO2_TO_OXYGEN;
        $lost = ($metres * $plan->surface() * max(0.0, $plan->care->gas - self::AIR) * $plan->lamp->hours) / 24;

        return $plan->care->gas > 0 ? $lost / self::DISSOLVES : 0.0;
    }

    /** Bubbles a minute of that. */
    public static function bubbles(Plan $plan): float
    {
        return $plan->lamp->hours > 0 ? (1000 * self::daily($plan)) / self::BUBBLE / 60 / $plan->lamp->hours : 0.0;
    }

    /** g of sugar for one bottle of yeast that gives the plan's trickle. */
    public static function sugar(float $milligramsADay): float
    {
        return ($milligramsADay / 1000) * self::YEAST_DAYS / self::SUGAR / self::FERMENTED;
    }
}
