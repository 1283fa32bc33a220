<?php

declare(strict_types=1);

namespace Olvek\Core\Light;

/**
 * Leaves that shade one another: the tallest take first, each gets what its taller neighbours leave.
 *
 * P: Monsi & Saeki (1953) for the exponential extinction in stands; k = 0.5 and leaf area M (0.03–0.05 m²/g).
 */
final class Canopy
{
    public const EXTINCTION = 0.5;
    /** m² of leaf per g dry. M (0.03–0.05). */
    public const LEAF_AREA = 0.04;
    /** Share of the light that a closed mat of floaters holds back. J (0.7–0.95). */
    public const FLOATER_SHADE = 0.85;

    /** Mean light within a stand whose top receives $atTop, for a leaf area index. */
    public static function meanWithin(float $atTop, float $leafAreaIndex): float
    {
        $path = self::EXTINCTION * $leafAreaIndex;

        return $path < 1e-6 ? $atTop : $atTop * (1 - exp(-$path)) / $path;
    }

    /** Share of the light that passes a stand. */
    public static function transmission(float $leafAreaIndex): float
    {
        return exp(-self::EXTINCTION * $leafAreaIndex);
    }

    /** Share of the light that passes floaters covering a share of the surface. */
    public static function underFloaters(float $cover): float
    {
        return 1 - self::FLOATER_SHADE * min(1.0, $cover);
    }
}
