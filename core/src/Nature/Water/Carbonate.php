<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

use Olvek\Core\Basis\Unit\MolarMass;

/**
 * The carbonate system of fresh water, ideal solution (ionic strength of tap water is ignored; J: < 0.1 pH).
 *
 * P: Plummer & Busenberg (1982), The solubilities of calcite, aragonite and vaterite in CO2–H2O solutions between
 * 0 and 90 °C, Geochim. Cosmochim. Acta 46, 1011–1040. Kw: P: Harned & Hamer (1933) as pKw = 4470.99/T − 6.0875 + 0.01706 T.
 */
final class Carbonate
{
    /** log10 of Henry's constant, mol L⁻¹ atm⁻¹. */
    public static function logHenry(float $celsius): float
    {
        $t = $celsius + 273.15;

        return 108.3865 + 0.01985076 * $t - 6919.53 / $t - 40.45154 * log10($t) + 669365 / $t ** 2;
    }

    /** log10 of the first dissociation constant. */
    public static function logK1(float $celsius): float
    {
        $t = $celsius + 273.15;

        return -356.3094 - 0.06091964 * $t + 21834.37 / $t + 126.8339 * log10($t) - 1684915 / $t ** 2;
    }

    /** log10 of the second dissociation constant. */
    public static function logK2(float $celsius): float
    {
        $t = $celsius + 273.15;

        return -107.8871 - 0.03252849 * $t + 5151.79 / $t + 38.92561 * log10($t) - 563713.9 / $t ** 2;
    }

    /** log10 of the solubility product of calcite. */
    public static function logCalcite(float $celsius): float
    {
        $t = $celsius + 273.15;

        return -171.9065 - 0.077993 * $t + 2839.319 / $t + 71.595 * log10($t);
    }

    /** mg/L of CO2 in water at rest with air of a given CO2 content (default 420 ppm, M). */
    public static function co2AtEquilibrium(float $celsius, float $partsPerMillion = 420.0): float
    {
        return 10 ** self::logHenry($celsius) * $partsPerMillion * 1e-6 * MolarMass::CARBON_DIOXIDE * 1000;
    }

    /**
     * pH from dissolved CO2 (mg/L) and alkalinity (meq/L), from the whole charge balance:
     * alkalinity = [HCO3⁻] + 2[CO3²⁻] + [OH⁻] − [H⁺]. Bisection; the left side falls steadily with pH.
     */
    public static function pH(float $co2, float $alkalinity, float $celsius): float
    {
        $dissolved = $co2 / MolarMass::CARBON_DIOXIDE / 1000;
        $target = $alkalinity / 1000;
        $low = 2.0;
        $high = 13.0;
        for ($i = 0; $i < 60; ++$i) {
            $middle = ($low + $high) / 2;
            if (self::alkalinityAt($middle, $dissolved, $celsius) < $target) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    /** Dissolved CO2 (mg/L) that goes with a pH and an alkalinity (meq/L); 0 where the alkalinity is all hydroxide. */
    public static function co2(float $pH, float $alkalinity, float $celsius): float
    {
        $h = 10 ** -$pH;
        $k1 = 10 ** self::logK1($celsius);
        $k2 = 10 ** self::logK2($celsius);
        $carbonate = $alkalinity / 1000 - self::ionProduct($celsius) / $h + $h;

        return max(0.0, $carbonate / ($k1 / $h + 2 * $k1 * $k2 / $h ** 2)) * MolarMass::CARBON_DIOXIDE * 1000;
    }

    private static function alkalinityAt(float $pH, float $dissolved, float $celsius): float
    {
        $h = 10 ** -$pH;
        $k1 = 10 ** self::logK1($celsius);
        $k2 = 10 ** self::logK2($celsius);

        return $dissolved * ($k1 / $h + 2 * $k1 * $k2 / $h ** 2) + self::ionProduct($celsius) / $h - $h;
    }

    /** log10 of the ion product of water, (mol/L)². */
    public static function logKw(float $celsius): float
    {
        $t = $celsius + 273.15;

        return -(4470.99 / $t - 6.0875 + 0.01706 * $t);
    }

    private static function ionProduct(float $celsius): float
    {
        return 10 ** self::logKw($celsius);
    }
}
