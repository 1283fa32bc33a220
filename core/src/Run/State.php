<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

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
    /** Dissolved tannin, mg C. */
    public float $tannin = 0.0;
    /** mg Si. */
    public float $silicon;
    /** g of calcite in the bed. */
    public float $lime;
    /** mg O2 and mg C in the air of a sealed vessel. */
    public float $headOxygen = 0.0;
    public float $headCarbon = 0.0;

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

    /** @var array<int, float> g dry by way of life (Alga) */
    public array $algae = [];
    /** @var array<int, float> mg N in it */
    public array $algaeNitrogen = [];
    /** mg VSS of ammonia and of nitrite oxidisers. */
    public float $ammoniaOxidisers;
    public float $nitriteOxidisers;

    /** @var array<int, float> g wet by group; 0 before they come */
    public array $animals = [];
    /** @var array<int, float> numbers by group, as a mean: parts of an animal are chances */
    public array $heads = [];

    /** Day's mean pH, for what is reckoned by the day. */
    public float $pH;

    /** mg/L of tap water where the plan names none. M: phosphate-dosed or plain supplies vary widely. */
    public const SOURCE_PHOSPHORUS = 0.05;
    public const SOURCE_POTASSIUM = 2.0;
    public const SOURCE_IRON = 0.02;
    /** mg Si/L. M (2–8). */
    public const SOURCE_SILICON = 4.0;
    /** g dry of film, green water and diatoms on day 0, with new plants and dust. J. */
    private const FIRST_ALGAE = [0.01, 0.001, 0.01];

    public function __construct(Facts $facts)
    {
        $parameters = $facts->parameters;
        $water = $facts->plan->water;
        $celsius = $facts->plan->site->temperatureOn(0);
        $this->volume = $facts->volume;
        $this->ammonia = $facts->flushAtFilling;
        $this->nitrate = $water->nitrate * $this->volume;
        $this->phosphorus = self::SOURCE_PHOSPHORUS * $this->volume;
        $this->potassium = self::SOURCE_POTASSIUM * $this->volume;
        $this->iron = self::SOURCE_IRON * $this->volume;
        $this->alkalinity = $facts->sourceAlkalinity * $this->volume + $facts->dosedAlkalinity;
        $this->silicon = self::SOURCE_SILICON * $this->volume;
        $this->lime = $facts->lime;
        // Bicarbonate dosed brings a mol of carbon for each equivalent.
        $this->carbon = $facts->sourceCarbon * $this->volume + 12.011 * $facts->dosedAlkalinity;
        $this->oxygen = Oxygen::saturation($celsius) * $this->volume;
        $this->hardness = $water->gh * $this->volume + $facts->dosedHardness;
        $this->pH = $water->pH;
        $this->flushNitrogen = $facts->flushNitrogen;
        $this->slowNitrogen = $facts->slowNitrogen;
        $this->quickCarbon = $facts->quickCarbon;
        $this->slowCarbon = $facts->slowCarbon;
        $this->soilPhosphorus = $facts->soilPhosphorus;
        $this->soilPotassium = $facts->soilPotassium;
        $this->soilIron = $facts->soilIron;
        foreach ($facts->plan->clumps as $clump) {
            $mass = 0 === $clump->day ? $clump->biomass() : 0.0;
            $this->biomass[] = $mass;
            $this->leafNitrogen[] = $mass * $parameters->leafNitrogenPlanted;
            $this->plantedOn[] = (float) $clump->day;
            $this->plantedMass[] = $mass;
        }
        $this->animals = $this->heads = array_fill(0, \count($facts->plan->groups), 0.0);
        $this->algae = self::FIRST_ALGAE;
        $this->algaeNitrogen = array_map(static fn (float $g): float => $g * $parameters->leafNitrogenPlanted, self::FIRST_ALGAE);
        if ($facts->headspace > 0) {
            $this->headOxygen = Air::OXYGEN * $facts->headspace;
            $this->headCarbon = Air::CARBON * $facts->headspace;
        }
        $share = $facts->firstFilm;
        $this->ammoniaOxidisers = $facts->filmMost * $share;
        $this->nitriteOxidisers = $facts->filmMost * min(1.0, $share * $parameters->nitriteInoculum) * $parameters->ammoniaOxidiserRate / $parameters->nitriteOxidiserRate;
    }
}
