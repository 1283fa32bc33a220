<?php

declare(strict_types=1);

namespace Olvek\Core\Water;

/**
 * Ammonia oxidised to nitrate by bacteria on wetted surfaces.
 *
 * The two bacterial steps are taken as one here: nitrite is oxidised as fast as it forms once the colony stands.
 */
final class Nitrification
{
    /** mg TAN-N/L at half speed. P (form and range): Henze and others (2000), Activated Sludge Models ASM1–ASM3, IWA; M (value). */
    public const HALF_SATURATION = 0.7;

    /** mg N per m² of surface and day, mature film, 25 °C. M: 0.2–1.0 g for trickling media; low end, still water. */
    public const SURFACE_RATE = 200.0;

    /** d⁻¹, net growth of a young colony at 25 °C: 0.9 growth at half supply less 0.05 decay. M (0.2–0.6). */
    public const COLONY_GROWTH = 0.35;

    /** Share of the mature film on day 0 in a tank that was given nothing: dust, plants, hands. J (1e-5–1e-3). */
    public const BARE_START = 1e-4;

    /** Temperature factor per °C. M: 1.07–1.10. */
    private const THETA = 1.08;

    /** Share (0–1) of the mature film that stands on a day; logistic from the inoculum. */
    public static function maturity(float $day, float $inoculum, float $celsius): float
    {
        if ($inoculum >= 1.0) {
            return 1.0;
        }
        $grown = exp(min(60.0, self::COLONY_GROWTH * self::temperatureFactor($celsius) * $day));

        return $inoculum * $grown / (1 - $inoculum + $inoculum * $grown);
    }

    /** Greatest rate (mg N/d) of the film on a surface in m². Stops below pH 6. */
    public static function greatestRate(float $surface, float $maturity, float $celsius, float $pH): float
    {
        return self::SURFACE_RATE * $surface * $maturity * self::temperatureFactor($celsius) * self::acidityFactor($pH);
    }

    private static function temperatureFactor(float $celsius): float
    {
        return self::THETA ** (min($celsius, 32.0) - 25);
    }

    /** Full from pH 7, none at 6, straight between. C: nitrification stalls in acid tanks. */
    public static function acidityFactor(float $pH): float
    {
        return max(0.0, min(1.0, $pH - 6.0));
    }
}
