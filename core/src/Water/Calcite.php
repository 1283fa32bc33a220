<?php

declare(strict_types=1);

namespace Olvek\Core\Water;

/** Whether water dissolves lime or lets it fall. */
final class Calcite
{
    /** Share of general hardness that is calcium. M (0.6–0.9). */
    public const CALCIUM_SHARE = 0.75;

    /**
     * Ω: below 1 the water dissolves calcite. Activities are taken as concentrations, as fits water this dilute.
     *
     * @param float $alkalinity meq/L
     * @param float $hardness   general, °dH
     */
    public static function saturation(float $pH, float $alkalinity, float $hardness, float $celsius): float
    {
        $calcium = self::CALCIUM_SHARE * $hardness * 17.848e-3 / 100.087;
        $hydrogen = 10 ** -$pH;
        $second = 10 ** Carbonate::logK2($celsius);
        // Alkalinity = HCO3 + 2 CO3, and CO3 = K2 HCO3 / H.
        $bicarbonate = max(0.0, $alkalinity) / 1000 / (1 + 2 * $second / $hydrogen);

        return $calcium * $second * $bicarbonate / $hydrogen / 10 ** Carbonate::logCalcite($celsius);
    }
}
