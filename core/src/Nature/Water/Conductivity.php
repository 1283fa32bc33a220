<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

/**
 * Conductivity of a water at 25 °C from what is dissolved in it, as a meter that corrects for warmth shows it.
 *
 * P: Onsager (1927), Zur Theorie der Electrolyte II, Physik. Z. 28, with the coefficients for water at 25 °C of Robinson & Stokes (1959),
 * Electrolyte solutions: an ion's share falls by (60.2/2·z + 0.229·z·λ°)·√I. Each ion's fellow is taken to bear one charge, which most do.
 *
 * Calcium and magnesium stay with sulphate in pairs that carry no current: log K 2.30 and 2.37. P: Smith & Martell (1976), Critical
 * Stability Constants 4; activities by Davies (1962), Ion Association.
 */
final class Conductivity
{
    /** mmol/L of calcium or magnesium in a degree. P: DIN 38409-6:1986, 0.3566 meq/L. */
    public const MILLIMOL_PER_DEGREE = 0.3566 / 2;

    /** S cm² per equivalent at no strength, 25 °C. P: Robinson & Stokes (1959), appendix 6.1. */
    private const ION_CALCIUM = 59.50;
    private const ION_MAGNESIUM = 53.05;
    private const ION_SODIUM = 50.10;
    private const ION_POTASSIUM = 73.50;
    private const ION_BICARBONATE = 44.50;
    private const ION_CHLORIDE = 76.35;
    private const ION_SULPHATE = 80.02;
    private const ION_NITRATE = 71.46;

    /** L/mol. */
    private const PAIR_CALCIUM = 199.5;
    private const PAIR_MAGNESIUM = 234.4;
    /** Turns in which pairs and strength find each other: the third moves nothing by 1 %. */
    private const TURNS = 4;

    private const DRAG = 30.1;
    private const RELAXED = 0.229;

    /**
     * @param float $calcium mmol/L, and so are the others
     *
     * @return float µS/cm
     */
    public static function of(
        float $calcium,
        float $magnesium,
        float $sodium,
        float $potassium,
        float $bicarbonate,
        float $chloride,
        float $sulphate,
        float $nitrate,
    ): float {
        [$calcium, $magnesium, $sulphate] = self::free(
            $calcium, $magnesium, $sulphate, $sodium + $potassium + $bicarbonate + $chloride + $nitrate,
        );
        $twice = $calcium + $magnesium + $sulphate;
        $once = $sodium + $potassium + $bicarbonate + $chloride + $nitrate;
        $root = sqrt(max(0.0, 0.5e-3 * (4 * $twice + $once)));
        $free1 =
            self::ION_SODIUM * $sodium + self::ION_POTASSIUM * $potassium + self::ION_BICARBONATE * $bicarbonate
            + self::ION_CHLORIDE * $chloride + self::ION_NITRATE * $nitrate;
        $free2 = 2 * (self::ION_CALCIUM * $calcium + self::ION_MAGNESIUM * $magnesium + self::ION_SULPHATE * $sulphate);

        return max(
            0.0,
            $free1 * (1 - self::RELAXED * $root) + $free2 * (1 - 2 * self::RELAXED * $root) - self::DRAG * $root * ($once + 4 * $twice),
        );
    }

    /**
     * mmol/L of calcium, magnesium and sulphate that are not in pairs.
     *
     * @param float $once mmol/L of ions of one charge
     *
     * @return array{float, float, float}
     */
    private static function free(float $calcium, float $magnesium, float $sulphate, float $once): array
    {
        [$ca, $mg, $so4] = [$calcium, $magnesium, $sulphate];
        if ($sulphate <= 0.0) {
            return [$ca, $mg, $so4];
        }
        for ($turn = 0; $turn < self::TURNS; ++$turn) {
            $root = sqrt(max(0.0, 0.5e-3 * (4 * ($ca + $mg + $so4) + $once)));
            // log γ of a charge of two, twice: once for each ion of the pair.
            $active = 10 ** (-2 * 4 * 0.509 * ($root / (1 + $root) - 0.3 * $root * $root));
            $pairsCa = self::PAIR_CALCIUM * $active * 1e-3;
            $pairsMg = self::PAIR_MAGNESIUM * $active * 1e-3;
            $so4 = $sulphate / (1 + $pairsCa * $ca + $pairsMg * $mg);
            $ca = $calcium / (1 + $pairsCa * $so4);
            $mg = $magnesium / (1 + $pairsMg * $so4);
        }

        return [$ca, $mg, $so4];
    }
}
