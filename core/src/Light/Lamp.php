<?php

declare(strict_types=1);

namespace Olvek\Core\Light;

/** A lamp over the tank, known by its lumens, and the hours it burns. */
final readonly class Lamp
{
    /** lm per µmol s⁻¹ of white light-emitting diodes. M (67–75). */
    public const LUMENS_PER_MICROMOLE = 70.0;

    /**
     * @param float $lumens  luminous flux, lm
     * @param float $hours   per day, 0–24
     * @param float $landing share of the light that lands on the water; J (0.5–0.8)
     */
    public function __construct(
        public float $lumens,
        public float $hours,
        public float $landing = 0.6,
    ) {
    }

    /** Mean PPFD on a water surface in m², µmol m⁻² s⁻¹. */
    public function atSurface(float $area): float
    {
        return $this->lumens / self::LUMENS_PER_MICROMOLE * $this->landing / $area;
    }

    /** Moles of photons per m² and day at a PPFD, for the lamp's hours. */
    public function dailyIntegral(float $photonFluxDensity): float
    {
        return $photonFluxDensity * 3600 * $this->hours / 1e6;
    }
}
