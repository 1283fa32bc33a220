<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\Section;
use Olvek\Core\Basis\Unit\Dimension;

/** A lamp over the tank, known by its lumens, the hours it burns and how high it hangs. */
final readonly class Lamp
{
    /** lm per µmol s⁻¹ of white light-emitting diodes. M (67–75). */
    public const LUMENS_PER_MICROMOLE = 70.0;
    /** m over the rim at which the share that lands is told. C: most lamps rest on the rim or hang a hand above it. */
    public const USUAL_HEIGHT = 0.1;
    /**
     * Share that lands from there. J (0.5–0.9): of strips and panels 0.72 to 0.90 enter a box of 60 × 30 cm, by tracing rays; old
     * reflectors lose more.
     */
    public const USUAL_LANDING = 0.6;

    /**
     * @param float $lumens  luminous flux, lm
     * @param float $hours   per day, 0–24
     * @param float $landing share of the light that lands on the water where the lamp hangs 10 cm over the rim; J (0.5–0.8)
     * @param float $height  m over the rim
     * @param LampKind|null $kind what lamp it is; null where nobody said: white diodes
     * @param float $watts   that it draws, where it is known by them; 0 where by its lumens
     */
    public function __construct(
        #[Number('lamp', Dimension::LuminousFlux, 0.0, 200000.0, 'lm of the lamp', decimals: 0)] public float $lumens,
        #[Number('hours of light', Dimension::Duration, 0.0, 24.0, 'a day', decimals: 2)] public float $hours,
        #[Number(
            'light that reaches the water',
            Dimension::Share,
            0.05,
            1.0,
            'share of the light that reaches the water where the lamp hangs 0.1 m over the rim',
            decimals: 0,
            required: true,
        ),]
        public float $landing = self::USUAL_LANDING,
        #[Number('lamp above the rim', Dimension::Length, 0.0, 1.5, 'm over the rim', decimals: 2),]
        public float $height = self::USUAL_HEIGHT,
        #[Section('')] public Programme $programme = new Programme(),
        #[KindOf('lamps', 'a lamp', 'lamp', 'white diodes', 'id in the catalogue of lamps; null: white diodes'),]
        public ?LampKind $kind = null,
        #[Number('watts (0: by lumens)', Dimension::Count, 0.0, 2000.0, 'that it draws, where its lumens were told by them; 0 otherwise'),]
        public float $watts = 0.0,
        #[Section('')] public SecondLamp $second = new SecondLamp(),
    ) {
    }

    /** Hours a day for which any lamp is on, where the first burns for so many. */
    public function burning(float $hours): float
    {
        return $this->second->burns() ? max($hours, $this->second->hours) : $hours;
    }

    /**
     * What falls on a water surface in m² in a day, µmol h m⁻² s⁻¹, where the first lamp burns for so many hours: in dawn and dusk half as
     * much as between them.
     */
    public function daily(float $area, float $hours): float
    {
        $second = $this->second;

        return $this->of($this->lumens, $this->kind, $area) * $this->programme->full($hours) +
            ($second->burns() ? $this->of($second->flux(), $second->kind, $area) * $second->hours : 0.0);
    }

    /** PPFD of the first lamp at full strength, with the second where both are on. */
    public function brightest(float $area): float
    {
        return $this->of($this->lumens, $this->kind, $area) +
            ($this->second->burns() ? $this->of($this->second->flux(), $this->second->kind, $area) : 0.0);
    }

    /** PPFD at night on a water surface in m². */
    public function atNight(float $area): float
    {
        return $this->of($this->programme->night, $this->kind, $area);
    }

    public function withLanding(float $share): self
    {
        return Fields::with($this, ['landing' => $share]);
    }

    /** Mean PPFD on a water surface in m² while any lamp is on, µmol m⁻² s⁻¹; as if one burnt, where none does. */
    public function atSurface(float $area): float
    {
        $hours = $this->burning($this->hours);

        return $hours > 0 ? $this->daily($area, $this->hours) / $hours : $this->of($this->lumens, $this->kind, $area);
    }

    /** Share of the light that lands on a water surface in m²: less, the higher the lamp hangs. */
    public function landed(float $area): float
    {
        return min(1.0, ($this->landing * self::seen($area, $this->height)) / self::seen($area, self::USUAL_HEIGHT));
    }

    /** Moles of photons per m² and day at a PPFD, for the lamps' hours. */
    public function dailyIntegral(float $photonFluxDensity): float
    {
        return ($photonFluxDensity * 3600 * $this->burning($this->hours)) / 1e6;
    }

    /** PPFD of so many lumens of a kind. */
    private function of(float $lumens, ?LampKind $kind, float $area): float
    {
        return (($lumens / ($kind->lumensPerMicromole->value ?? self::LUMENS_PER_MICROMOLE)) * $this->landed($area)) / $area;
    }

    /**
     * Share of a small flat source's light that falls on a disc of an area below it. P: Lambert (1760), Photometria: sin² of half the angle
     * at which it sees the disc.
     */
    private static function seen(float $area, float $height): float
    {
        $square = $area / \M_PI;

        return $square / ($square + $height * $height);
    }
}
