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
    /** m²/s at 25 °C; s⁻¹ and L/mol/s at which CO2 turns to bicarbonate. M: Johnson (1982), Geochim. Cosmochim. Acta 46. */
    private const DIFFUSION = 1.92e-9;
    private const HYDRATION = 0.037;
    private const HYDROXYLATION = 8500.0;

    public static function warmth(float $celsius): float
    {
        return self::THETA ** ($celsius - 25);
    }

    /**
     * Times faster that carbon dioxide passes a surface because it turns to bicarbonate within the film.
     * P: Hoover & Berkshire (1969), J. Geophys. Res. 74.
     *
     * @param float $velocity m/d at which it would pass without
     */
    public static function enhancement(float $velocity, float $pH, CarbonSpeciation $at): float
    {
        if ($velocity <= 0) {
            return 1.0;
        }
        $h = 10 ** -$pH;
        $tau = 1 + ($h * $h) / ($at->k1 * ($at->k2 + $h));
        $film = self::DIFFUSION / ($velocity / 86400);
        $reach = sqrt(((self::HYDRATION + (self::HYDROXYLATION * $at->kw) / $h) * $tau) / self::DIFFUSION) * $film;

        return $tau / ($tau - 1 + tanh($reach) / $reach);
    }
}
