<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

/**
 * Leaves that shade one another: the tallest take first, each gets what its taller neighbours leave.
 *
 * P: Monsi & Saeki (1953) for the exponential extinction in stands; k = 0.5 and leaf area M (0.03–0.05 m²/g).
 */
final class Canopy
{
    public const EXTINCTION = 0.5;
    /** m² of leaf per g dry. M (0.03–0.1: thin leaves under water have more). */
    public const LEAF_AREA = 0.045;
    /** Share of the light that a closed mat of floaters holds back, and what each further layer lets through. J (0.7–0.95; 0.3–0.7). */
    public const FLOATER_SHADE = 0.86;
    private const LAYER = 0.5;

    /** Share of the light that passes a stand. */
    public static function transmission(float $leafAreaIndex): float
    {
        return exp(-self::EXTINCTION * $leafAreaIndex);
    }

    /**
     * Share of the light that passes floaters.
     *
     * @param float $cover m² of mat per m² of surface; above 1 they lie in layers
     * @param float $part  share (0–1) of the surface to which they are kept
     *
     * @return float mean of the whole surface
     */
    public static function underFloaters(float $cover, float $part = 1.0): float
    {
        if ($part < 1.0) {
            return 1 - $part + $part * self::underFloaters($cover / $part);
        }

        return (1 - self::FLOATER_SHADE * min(1.0, $cover)) * ($cover > 1 ? self::LAYER ** ($cover - 1) : 1.0);
    }
}
