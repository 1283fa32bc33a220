<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/**
 * How thick a flat pane must be for the water behind it.
 *
 * P: Young & Budynas (2002), Roark's Formulas for Stress and Strain, 7th ed., table 11.4: a rectangular plate, three edges simply supported
 * and the upper one free, under a load that grows evenly from nothing at the top: σ = β p h²/t², with p = ρ g h at the bottom. β by length
 * over height: M. Glass: 19.2 MPa in bending, and a safety factor of 3.8: C of those who build tanks (EN 572-1 gives 45 MPa as the
 * characteristic strength of new float glass, for loads of seconds, not years).
 */
final class Pane
{
    /** Length over height of the water, and β. M. */
    private const BETA = [[0.5, 0.085], [0.667, 0.1156], [1.0, 0.16], [1.5, 0.26], [2.0, 0.32], [2.5, 0.35], [3.0, 0.37]];
    /** Pa. */
    private const STRENGTH = 19.2e6;
    public const SAFETY = 3.8;
    /** Pa per m of water. P: 998 kg/m³ × 9.81 m/s². */
    private const PRESSURE = 9790.0;
    /** m that panes are sold in. C. */
    private const SOLD = [0.003, 0.004, 0.005, 0.006, 0.008, 0.010, 0.012, 0.015, 0.019];

    /**
     * m that a pane must be thick.
     *
     * @param float $length m between its upright edges
     * @param float $water  m of water behind it
     */
    public static function needed(float $length, float $water): float
    {
        return $water * sqrt((self::beta($length / $water) * self::PRESSURE * $water * self::SAFETY) / self::STRENGTH);
    }

    /** How many times a pane bears the load: 3.8 is wanted. */
    public static function safety(float $thick, float $length, float $water): float
    {
        return self::SAFETY * ($thick / self::needed($length, $water)) ** 2;
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

    private static function beta(float $ratio): float
    {
        [$ratioBefore, $betaBefore] = self::BETA[0];
        foreach (self::BETA as [$next, $beta]) {
            if ($ratio <= $next) {
                return $betaBefore + (($ratio - $ratioBefore) / max(1e-9, $next - $ratioBefore)) * ($beta - $betaBefore);
            }
            [$ratioBefore, $betaBefore] = [$next, $beta];
        }

        return $betaBefore;
    }
}
