<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/**
 * How thick a flat pane must be for the water behind it: σ = β p h²/t², with p = ρ g h at the bottom and β by length over height.
 *
 * Two tables, by what holds the upper edge. A rimless pane is held along three edges. β: a Ritz solution of Kirchhoff's plate with that
 * edge free, ν = 0.22, made for this table; near what Young & Budynas (2002), Roark's Formulas for Stress and Strain, 7th ed., table 11.4,
 * gives for it (M: 0.124, 0.20, 0.36 and 0.44 at 0.667, 1, 1.5 and 2). A pane whose upper edge is held by a frame or by braces counts as
 * held along all four (own Navier series: within 6 %).
 *
 * Glass may bear 7.25 MPa for good. M: EN 16612:2019, new float glass: 45 MPa × 0.29 for loads that last ÷ 1.8. Builders take the second
 * table for rimless tanks too, with 19.2 MPa and a safety factor of 3.8 (C): about the same up to 60 cm, less than a long rimless pane
 * needs.
 */
final class Pane
{
    /** Length over height of the water, and β. */
    private const RIMLESS = [
        [0.5, 0.084], [0.667, 0.120], [1.0, 0.197], [1.5, 0.351], [2.0, 0.458], [2.5, 0.554], [3.0, 0.679], [4.0, 0.929], [5.0, 1.173],
        [6.0, 1.411],
    ];
    /** M. Beyond three times its height the upright edges no longer help. */
    private const BRACED = [[0.5, 0.085], [0.667, 0.1156], [1.0, 0.16], [1.5, 0.26], [2.0, 0.32], [2.5, 0.35], [3.0, 0.37]];
    /** Pa that a pane may bear for years. */
    public const LASTING = 7.25e6;
    /** Pa per m of water. P: 998 kg/m³ × 9.81 m/s². */
    private const PRESSURE = 9790.0;
    /** m that panes are sold in. C. */
    private const SOLD = [0.003, 0.004, 0.005, 0.006, 0.008, 0.010, 0.012, 0.015, 0.019];

    /**
     * m that a pane must be thick.
     *
     * @param float $length m between its upright edges
     * @param float $water  m of water behind it
     * @param bool  $braced whether its upper edge is held too
     */
    public static function needed(float $length, float $water, bool $braced = false): float
    {
        return $water * sqrt(self::beta($length / $water, $braced) * self::PRESSURE * $water / self::LASTING);
    }

    /** Pa in a pane at its worst place. */
    public static function stress(float $thick, float $length, float $water, bool $braced = false): float
    {
        return self::beta($length / $water, $braced) * self::PRESSURE * $water * ($water / $thick) ** 2;
    }

    /** m of the next pane that is sold, or the thickest. */
    public static function sold(float $thick): float
    {
        foreach (self::SOLD as $size) {
            if ($size >= $thick - 1e-9) {
                return $size;
            }
        }

        return $thick;
    }

    private static function beta(float $ratio, bool $braced): float
    {
        $table = $braced ? self::BRACED : self::RIMLESS;
        [$ratioBefore, $betaBefore] = $table[0];
        $slope = 0.0;
        foreach ($table as [$next, $beta]) {
            $slope = ($beta - $betaBefore) / max(1e-9, $next - $ratioBefore);
            if ($ratio <= $next) {
                return $betaBefore + ($ratio - $ratioBefore) * $slope;
            }
            [$ratioBefore, $betaBefore] = [$next, $beta];
        }

        return $braced ? $betaBefore : $betaBefore + ($ratio - $ratioBefore) * $slope;
    }
}
