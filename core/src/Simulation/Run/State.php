<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\MolarMass;
use Olvek\Core\Nature\Water\Oxygen;

/**
 * Everything that changes in a running tank. Amounts, not concentrations: mg for elements, meq for alkalinity, g dry for plants
 * and algae, g wet for animals; so that evaporation and water changes cannot lose anything.
 *
 * Mutable on purpose: the run's inner loop writes here some ten thousand times a simulated year. Whoever watches a run (Runner) only reads.
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
    /** mg of sodium, chloride and sulphate's sulphur; °dH · L of hardness that is calcium. */
    public float $sodium;
    public float $chloride;
    public float $sulphate;
    public float $calcium;
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
    /** mg N of nitrate in the soil. */
    public float $soilNitrate;
    public float $flushNitrogen;
    /** mg N in tabs pressed into the bed, which come apart over months. */
    public float $tabNitrogen;
    /** mg N that microbes free within a year or so, and over decades. */
    public float $readyNitrogen;
    public float $slowNitrogen;
    public float $quickCarbon;
    public float $slowCarbon;
    public float $soilPhosphorus;
    public float $soilPotassium;
    public float $soilIron;

    /** What lies on the bed: left food and the dead; droppings; leaves and all else that rots slowly. */
    public Matter $scraps;
    public Matter $droppings;
    public Matter $litter;
    /** mg C that animals have eaten and not yet breathed. */
    public float $fat = 0.0;
    /** mg O2 that the bed owes for carbon that rotted without any: reduced iron, sulphide. */
    public float $debt = 0.0;
    /** meq of alkalinity that fresh peat and granules can still take up. */
    public float $acidity = 0.0;
    /** mg N/L, mean ammonia of the last fortnight. */
    public float $meanAmmonia = 0.0;
    /** @var array<int, float> g dry by clump */
    public array $biomass = [];
    /** @var array<int, float> mg N by clump */
    public array $leafNitrogen = [];
    /**
     * @var array{array<int, float>, array<int, float>, array<int, float>} mg of phosphorus, potassium and iron that each clump holds over
     * what its leaves are built with
     */
    public array $reserves = [[], [], []];
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
    /** @var array<int, float> heads of each group that were given away so far */
    public array $givenAway = [];

    /** Day's mean pH, for what is computed by the day. */
    public float $pH;

    /** mg/L of tap water where the plan names none. M: phosphate 0.02–1.2, dosed against lead or plain; K 1–5; Fe 0.005–0.1. */
    public const SOURCE_PHOSPHORUS = 0.4;
    public const SOURCE_POTASSIUM = 2.0;
    public const SOURCE_IRON = 0.02;
    /** mg Si/L. M (2–8). */
    public const SOURCE_SILICON = 4.0;
    /**
     * g dry of film and of diatoms per m² of lit surface on day 0, with new plants and dust; mg dry/L of green water. J (0.01–0.2;
     * 0.02–0.3).
     */
    private const FIRST_FILM = 0.06;
    private const FIRST_GREEN = 0.1;

    public function __construct(RunConstants $facts)
    {
        $parameters = $facts->parameters;
        $water = $facts->plan->water;
        $celsius = $facts->plan->temperatureOn(0);
        $this->volume = $facts->volume;
        $this->ammonia = $facts->flushAtFilling;
        $this->nitrate = $water->nitrate * $this->volume + $facts->nitrateAtFilling;
        $this->soilNitrate = $facts->soilNitrate;
        $poured = SourceContents::of($water, $celsius);
        $this->phosphorus = $poured->phosphorus * $this->volume;
        $this->potassium = self::SOURCE_POTASSIUM * $poured->minerals * $this->volume;
        $this->iron = self::SOURCE_IRON * $poured->minerals * $this->volume;
        $this->alkalinity = $facts->sourceAlkalinity * $this->volume + $facts->dosedAlkalinity;
        $this->silicon = self::SOURCE_SILICON * $this->volume;
        $this->lime = $facts->lime;
        // Bicarbonate dosed brings a mol of carbon for each equivalent.
        $this->carbon = $facts->sourceCarbon * $this->volume + MolarMass::CARBON * $facts->dosedAlkalinity;
        $this->oxygen = Oxygen::saturation($celsius, $facts->pressure) * $this->volume;
        $this->hardness = $water->gh * $this->volume + $facts->dosedHardness;
        $this->sodium = $water->sodium * $this->volume;
        $this->chloride = $water->chloride * $this->volume;
        $this->sulphate = $water->sulphate * $this->volume + $facts->dosedSulphate;
        $this->calcium = $water->calcium * $water->gh * $this->volume + $facts->dosedCalcium;
        $this->pH = $water->pH;
        $this->flushNitrogen = $facts->flushNitrogen;
        $this->tabNitrogen = $facts->tabNitrogen;
        $this->readyNitrogen = $facts->readyNitrogen;
        $this->slowNitrogen = $facts->slowNitrogen;
        $this->acidity = $facts->acidity;
        $this->scraps = new Matter();
        $this->droppings = new Matter();
        $this->litter = new Matter();
        $this->quickCarbon = $facts->quickCarbon;
        $this->slowCarbon = $facts->slowCarbon;
        $this->soilPhosphorus = $facts->soilPhosphorus;
        $this->soilPotassium = $facts->soilPotassium;
        $this->soilIron = $facts->soilIron;
        foreach ($facts->plan->clumps as $clump) {
            $mass = 0 === $clump->day ? $clump->biomass() : 0.0;
            $this->biomass[] = $this->leafNitrogen[] = $this->reserves[0][] = $this->reserves[1][] = $this->reserves[2][] = 0.0;
            $this->plant($parameters, \count($this->biomass) - 1, $mass);
            $this->plantedOn[] = (float) $clump->day;
            $this->plantedMass[] = $mass;
        }
        $this->animals = $this->heads = $this->givenAway = array_fill(0, \count($facts->plan->groups), 0.0);
        $film = self::FIRST_FILM * $facts->litSurface;
        $this->algae = [$film, (self::FIRST_GREEN / 1000) * $this->volume, $film];
        $this->algaeNitrogen = array_map(static fn (float $g): float => $g * $parameters->leafNitrogenPlanted, $this->algae);
        if ($facts->headspace > 0) {
            $this->headOxygen = Air::OXYGEN * $facts->headspace;
            $this->headCarbon = Air::CARBON * $facts->headspace;
        }
        $share = $facts->firstFilm;
        $this->ammoniaOxidisers = $facts->filmMost * $share;
        $this->nitriteOxidisers =
            ($facts->filmMost * min(1.0, $share * $parameters->nitriteInoculum) * $parameters->ammoniaOxidiserRate) /
            $parameters->nitriteOxidiserRate;
    }

    public function __clone()
    {
        $this->scraps = clone $this->scraps;
        $this->droppings = clone $this->droppings;
        $this->litter = clone $this->litter;
    }

    /** Sets g dry of a clump in, as plants are sold: with what they have laid by. Returns what came in. */
    public function plant(Parameters $p, int $clump, float $grams): Matter
    {
        $this->biomass[$clump] += $grams;
        $this->leafNitrogen[$clump] += $grams * $p->leafNitrogenPlanted;
        $this->reserves[0][$clump] += $grams * $p->reservePhosphorus;
        $this->reserves[1][$clump] += $grams * $p->reservePotassium;
        $this->reserves[2][$clump] += $grams * $p->reserveIron;

        return new Matter(
            $grams * $p->leafCarbon,
            $grams * $p->leafNitrogenPlanted,
            $grams * ($p->leafPhosphorus + $p->reservePhosphorus),
            $grams * ($p->leafPotassium + $p->reservePotassium),
            $grams * ($p->leafIron + $p->reserveIron),
        );
    }

    /** Takes g dry of a clump out, with all that is in it. */
    public function leaf(Parameters $p, int $clump, float $grams): Matter
    {
        $held = $this->biomass[$clump];
        if ($held <= 0.0 || $grams <= 0.0) {
            return new Matter();
        }
        $share = min(1.0, $grams / $held);
        $grams = $share * $held;
        $nitrogen = $this->leafNitrogen[$clump];
        $phosphorus = $this->reserves[0][$clump];
        $potassium = $this->reserves[1][$clump];
        $iron = $this->reserves[2][$clump];
        $left = 1 - $share;
        $this->biomass[$clump] = $held - $grams;
        $this->leafNitrogen[$clump] = $left * $nitrogen;
        $this->reserves[0][$clump] = $left * $phosphorus;
        $this->reserves[1][$clump] = $left * $potassium;
        $this->reserves[2][$clump] = $left * $iron;

        return new Matter(
            $grams * $p->leafCarbon,
            $share * $nitrogen,
            $grams * $p->leafPhosphorus + $share * $phosphorus,
            $grams * $p->leafPotassium + $share * $potassium,
            $grams * $p->leafIron + $share * $iron,
        );
    }
}
