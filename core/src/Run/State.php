<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Water\Carbonate;
use Olvek\Core\Water\Oxygen;

/**
 * Everything that changes in a running tank. Amounts, not concentrations: mg for elements, meq for alkalinity, g dry for plants
 * and algae, g wet for animals; so that evaporation and water changes cannot lose anything.
 *
 * Mutable on purpose: the run's inner loop writes here some ten thousand times a simulated year.
 *
 * @internal
 */
final class State
{
    /** L of free water. */
    public float $volume;
    public float $ammonia;
    public float $nitrite = 0.0;
    public float $nitrate;
    public float $phosphorus;
    public float $potassium;
    public float $iron;
    /** Dissolved inorganic carbon, mg C. */
    public float $carbon;
    public float $oxygen;
    /** meq. */
    public float $alkalinity;
    /** °dH · L. */
    public float $hardness;

    public float $poreNitrogen = 0.0;
    public float $flushNitrogen;
    public float $slowNitrogen;
    public float $quickCarbon;
    public float $slowCarbon;
    public float $soilPhosphorus;
    public float $soilPotassium;
    public float $soilIron;

    public float $mulmCarbon = 0.0;
    public float $mulmNitrogen = 0.0;
    public float $mulmPhosphorus = 0.0;
    public float $mulmPotassium = 0.0;
    public float $mulmIron = 0.0;

    /** @var array<int, float> g dry by clump */
    public array $biomass = [];
    /** @var array<int, float> mg N by clump */
    public array $leafNitrogen = [];
    /** @var array<int, float> day on which each clump was planted */
    public array $plantedOn = [];
    /** @var array<int, float> g dry planted, of which melt takes its share */
    public array $plantedMass = [];

    /** g dry, and mg N in it. */
    public float $algae;
    public float $algaeNitrogen;
    /** mg VSS of ammonia and of nitrite oxidisers. */
    public float $ammoniaOxidisers;
    public float $nitriteOxidisers;

    /** @var array<int, float> g wet by group; 0 before they come */
    public array $animals = [];

    /** Day's mean pH, for what is reckoned by the day. */
    public float $pH;

    /** mg/L of tap water where the plan names none. M: phosphate-dosed or plain supplies vary widely. */
    public const SOURCE_PHOSPHORUS = 0.05;
    public const SOURCE_POTASSIUM = 2.0;
    public const SOURCE_IRON = 0.02;
    /** g dry of algae on day 0, with new plants and dust. J. */
    private const FIRST_ALGAE = 0.01;

    public function __construct(Facts $facts)
    {
        $parameters = $facts->parameters;
        $water = $facts->plan->water;
        $celsius = $facts->plan->site->temperature;
        $this->volume = $facts->volume;
        $this->ammonia = $facts->flushAtFilling;
        $this->nitrate = $water->nitrate * $this->volume;
        $this->phosphorus = self::SOURCE_PHOSPHORUS * $this->volume;
        $this->potassium = self::SOURCE_POTASSIUM * $this->volume;
        $this->iron = self::SOURCE_IRON * $this->volume;
        $this->alkalinity = $facts->sourceAlkalinity * $this->volume;
        $this->carbon = self::sourceCarbon($facts) * $this->volume;
        $this->oxygen = Oxygen::saturation($celsius) * $this->volume;
        $this->hardness = $water->gh * $this->volume;
        $this->pH = $water->pH;
        $this->flushNitrogen = $facts->flushNitrogen;
        $this->slowNitrogen = $facts->slowNitrogen;
        $this->quickCarbon = $facts->quickCarbon;
        $this->slowCarbon = $facts->slowCarbon;
        $this->soilPhosphorus = $facts->soilPhosphorus;
        $this->soilPotassium = $facts->soilPotassium;
        $this->soilIron = $facts->soilIron;
        foreach ($facts->plan->clumps as $clump) {
            $this->biomass[] = $clump->biomass();
            $this->leafNitrogen[] = $clump->biomass() * $parameters->leafNitrogenPlanted;
            $this->plantedOn[] = 0.0;
            $this->plantedMass[] = $clump->biomass();
        }
        $this->animals = array_fill(0, \count($facts->plan->groups), 0.0);
        $this->algae = self::FIRST_ALGAE;
        $this->algaeNitrogen = self::FIRST_ALGAE * $parameters->leafNitrogenPlanted;
        $share = $facts->firstFilm;
        $this->ammoniaOxidisers = $facts->filmMost * $share;
        $this->nitriteOxidisers = $facts->filmMost * $share * $parameters->ammoniaOxidiserRate / $parameters->nitriteOxidiserRate;
    }

    /** mg C/L that the source water carries: from its pH and alkalinity. */
    public static function sourceCarbon(Facts $facts): float
    {
        $water = $facts->plan->water;

        return CarbonSpeciation::at($facts->plan->site->temperature)->inorganicCarbon(
            Carbonate::co2($water->pH, $facts->sourceAlkalinity, $facts->plan->site->temperature), $facts->sourceAlkalinity);
    }
}
