<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** Numbers and shares of growth that run and drawing have in common; the law itself stands in Run\PlantDay. */
final class Growth
{
    /** mg N per g dry. M: Duarte (1992), Nutrient concentration of aquatic plants, Limnol. Oceanogr. 37 (20–35). */
    public const LEAF_NITROGEN = 25.0;
    /** mg N/L at which uptake of ammonium runs at half speed. M (0.03–0.3). */
    public const HALF_SATURATION_AMMONIUM = 0.2;
    /** mg N/L, the same for nitrate. M (0.1–0.7). */
    public const HALF_SATURATION_NITRATE = 0.4;
    /** mg N/L of ammonium at which nitrate uptake is halved: ammonium goes first. M. */
    public const AMMONIUM_FIRST = 0.1;
    /** Growth a plant of which takes the run's carbonHalf for half. d⁻¹. M: Black, Maberly & Spence (1981). */
    private const CARBON_GROWTH = 0.15;
    /** Temperature factor per °C of growth. M (1.06–1.10). */
    private const THETA = 1.08;
    /** Air-grown leaves are lost between these days. C. */
    public const MELT_FROM = 3.0;
    public const MELT_TO = 21.0;
    /** Roots reach the soil between these days. C: 1–3 weeks. */
    public const ROOTS_FROM = 7.0;
    public const ROOTS_TO = 21.0;

    /**
     * Share of greatest growth that light and day length allow: 1 in ample light of twelve hours, 0 below the leaf's compensation point.
     *
     * @param float $half         µmol/m²/s over the compensation point at which growth is half
     * @param float $compensation µmol/m²/s
     * @param float $flux         µmol/m²/s
     */
    public static function lightFactor(float $half, float $compensation, float $flux, float $hours): float
    {
        $over = $flux - $compensation;

        return $over > 0.0 ? ($over / ($half + $over)) * ($hours < 18.0 ? $hours : 18.0) / 12 : 0.0;
    }

    /**
     * mg CO2/L of half fixation of a kind in full light.
     *
     * @param float $half  mg CO2/L of one that lives on carbon dioxide alone and grows at CARBON_GROWTH
     * @param float $users mg CO2/L of one that uses bicarbonate
     */
    public static function carbonHalf(PlantKind $kind, float $half, float $users): float
    {
        return ($half * ($users / $half) ** $kind->bicarbonate->value * $kind->growth->value) / self::CARBON_GROWTH;
    }

    public static function temperatureFactor(float $celsius): float
    {
        return self::THETA ** (min($celsius, 32.0) - 25);
    }

    /**
     * Share (0–1) of the mass as planted that is alive on a day, melt counted, growth trimmed away; $melts is the share of it that this
     * clump melts (Plan\Grown).
     */
    public static function shareAlive(PlantKind $kind, float $day, float $melts): float
    {
        return 1 - $melts * $kind->melt->value * self::ramp($day, self::MELT_FROM, self::MELT_TO);
    }

    /** Share (0–1) of the way from one day to another. */
    public static function ramp(float $day, float $from, float $to): float
    {
        return max(0.0, min(1.0, ($day - $from) / ($to - $from)));
    }
}
