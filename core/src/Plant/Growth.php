<?php

declare(strict_types=1);

namespace Olvek\Core\Plant;

/**
 * How fast a clump grows, and the nitrogen that this growth takes up.
 *
 * μ = μmax · fT · I/(K_I+I) · min(h,18)/12 · fC (P: Monod 1949 forms); uptake = μ·B·Q at the usual leaf nitrogen Q.
 * Luxury uptake (filling the leaf beyond Q) is left out: the answer is what plants can take day after day.
 */
final class Growth
{
    /** mg N per g dry. M: Duarte (1992), Nutrient concentration of aquatic plants, Limnol. Oceanogr. 37 (20–35). */
    public const LEAF_NITROGEN = 25.0;
    /** mg N/L at which uptake of ammonium runs at half speed. M (0.03–0.3). */
    public const HALF_SATURATION_AMMONIUM = 0.1;
    /** mg N/L, the same for nitrate. M (0.1–0.7). */
    public const HALF_SATURATION_NITRATE = 0.3;
    /** mg N/L of ammonium at which nitrate uptake is halved: ammonium goes first. M. */
    public const AMMONIUM_FIRST = 0.1;
    /** mg CO2/L of half growth: submerged kinds, and those that use bicarbonate. M (1–4; 0.3–1). */
    private const HALF_CO2 = 2.0;
    private const HALF_CO2_BICARBONATE = 0.6;
    /** Temperature factor per °C of growth. M (1.06–1.10). */
    private const THETA = 1.08;
    /** Air-grown leaves are lost between these days. C. */
    public const MELT_FROM = 3.0;
    public const MELT_TO = 21.0;
    /** Roots reach the soil between these days. C: 1–3 weeks. */
    private const ROOTS_FROM = 7.0;
    private const ROOTS_TO = 21.0;

    /** Share (0–1) of greatest growth that light and day length allow. */
    public static function lightFactor(Kind $kind, float $photonFluxDensity, float $hours): float
    {
        return $photonFluxDensity / ($kind->halfLight->value + $photonFluxDensity) * min($hours, 18.0) / 12;
    }

    /** Share (0–1) that dissolved CO2 (mg/L) allows; leaves in air always have enough. */
    public static function carbonFactor(Kind $kind, float $co2): float
    {
        if ($kind->role->hasLeavesInAir()) {
            return 1.0;
        }

        return $co2 / (($kind->bicarbonate ? self::HALF_CO2_BICARBONATE : self::HALF_CO2) + $co2);
    }

    public static function temperatureFactor(float $celsius): float
    {
        return self::THETA ** (min($celsius, 32.0) - 25);
    }

    /** Growth, d⁻¹. */
    public static function rate(Kind $kind, float $photonFluxDensity, float $hours, float $co2, float $celsius): float
    {
        return $kind->growth->value
            * self::lightFactor($kind, $photonFluxDensity, $hours)
            * self::carbonFactor($kind, $co2)
            * self::temperatureFactor($celsius);
    }

    /** Share (0–1) of the mass as planted that is alive on a day, melt counted, growth trimmed away. */
    public static function shareAlive(Kind $kind, float $day): float
    {
        return 1 - $kind->melt->value * self::ramp($day, self::MELT_FROM, self::MELT_TO);
    }

    /** Share (0–1) of its roots that have reached the soil on a day. */
    public static function rooted(float $day): float
    {
        return self::ramp($day, self::ROOTS_FROM, self::ROOTS_TO);
    }

    private static function ramp(float $day, float $from, float $to): float
    {
        return max(0.0, min(1.0, ($day - $from) / ($to - $from)));
    }
}
