<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

/** How fast gases pass a still surface: with warmth, under a lid, and carbon dioxide helped by its own chemistry. */
final class GasExchange
{
    /** Carbon dioxide against oxygen. P: Schmidt numbers, Wanninkhof (1992), J. Geophys. Res. 97: (530/600)^0.5. */
    public const CO2_TO_OXYGEN = 0.94;
    /**
     * Under a lid the air stands still and damp, the surface cools less and turns over less. J after surface renewal from evaporation:
     * 0.34–0.59 against 0.67–0.80 m/d.
     */
    public const UNDER_LID = 0.67;
    /** Per °C against 25 °C. P: Schmidt numbers, 2.4 %. */
    private const THETA = 1.024;
    /** L/mol/s at which CO2 turns to bicarbonate by hydroxide, 25 °C. M: Johnson (1982), Geochim. Cosmochim. Acta 46. */
    private const HYDROXYLATION = 8500.0;
    /** K. */
    private const FREEZING = 273.15;

    public static function warmth(float $celsius): float
    {
        return self::THETA ** ($celsius - 25);
    }

    /**
     * s⁻¹ at which CO2 turns to bicarbonate by water: 0.037 at 25 °C, 0.014 at 15 °C. P: Johnson (1982), Geochim. Cosmochim. Acta 46, eq
     * for fresh water: ln k = 1246.98 − 6.19 × 10⁴/T − 183.0 ln T.
     */
    public static function hydration(float $celsius): float
    {
        $kelvin = $celsius + self::FREEZING;

        return exp(1246.98 - 6.19e4 / $kelvin - 183.0 * log($kelvin));
    }

    /** m²/s of CO2 in water: 1.92 × 10⁻⁹ at 25 °C. P: Jähne, Heinz & Dietrich (1987), J. Geophys. Res. 92: 5.019 × 10⁻⁶ e^(−19.51/RT). */
    public static function diffusion(float $celsius): float
    {
        return 5.019e-6 * exp(-19510 / 8.314 / ($celsius + self::FREEZING));
    }

    /**
     * Times faster that carbon dioxide passes a surface because it turns to bicarbonate within the film.
     * P: Hoover & Berkshire (1969), J. Geophys. Res. 74.
     *
     * @param float $velocity  m/d at which it would pass without
     * @param float $hydration s⁻¹ at the water's warmth, and $diffusion m²/s
     */
    public static function enhancement(float $velocity, float $pH, CarbonSpeciation $at, float $hydration, float $diffusion): float
    {
        if ($velocity <= 0) {
            return 1.0;
        }
        $h = 10 ** -$pH;
        $tau = 1 + ($h * $h) / ($at->k1 * ($at->k2 + $h));
        $film = $diffusion / ($velocity / 86400);
        $reach = sqrt((($hydration + (self::HYDROXYLATION * $at->kw) / $h) * $tau) / $diffusion) * $film;

        return $tau / ($tau - 1 + tanh($reach) / $reach);
    }
}
