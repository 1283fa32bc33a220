<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\MolarMass;
use Olvek\Core\Simulation\Run\Hours\Lime;

/**
 * What entered the tank less what left it, by element, mg; closed against the stores every day of a test run.
 */
final class MassBalance
{
    public float $nitrogen = 0.0;
    public float $phosphorus = 0.0;
    public float $potassium = 0.0;
    public float $iron = 0.0;
    public float $carbon = 0.0;
    public float $oxygen = 0.0;
    /** meq of charge that ions other than those of nitrogen carry, and °dH·L of hardness. */
    public float $charge = 0.0;
    public float $hardness = 0.0;
    /** @var array<int, float> g dry cut and taken out so far, by clump */
    public array $cut = [];
    /** mg of nitrogen and phosphorus in it; mg N that changes of water brought in over what they took out; mg N fertilised. */
    public float $cutNitrogen = 0.0;
    public float $cutPhosphorus = 0.0;
    public float $changedNitrogen = 0.0;
    public float $fertilised = 0.0;

    /** mg per g wet of animals: N and C of small fish. M (N 22–30, C 100–140). */
    public const ANIMAL_NITROGEN = 25.0;
    public const ANIMAL_CARBON = 120.0;
    /** mg per g wet. M (P 4–7, K 2–4, Fe 0.01–0.05). */
    public const ANIMAL_PHOSPHORUS = 5.0;
    public const ANIMAL_POTASSIUM = 3.0;
    public const ANIMAL_IRON = 0.03;

    public function in(Matter $m): void
    {
        $this->add($m->nitrogen, $m->phosphorus, $m->potassium, $m->iron, $m->carbon);
    }

    /** A part of a clump goes out. */
    public function cut(int $clump, float $grams, Matter $m): void
    {
        $this->out($m);
        $this->cut[$clump] = ($this->cut[$clump] ?? 0.0) + $grams;
        $this->cutNitrogen += $m->nitrogen;
        $this->cutPhosphorus += $m->phosphorus;
    }

    public function out(Matter $m): void
    {
        $this->add(-$m->nitrogen, -$m->phosphorus, -$m->potassium, -$m->iron, -$m->carbon);
    }

    /**
     * All that the tank holds: mg of each element, meq of charge, °dH·L of hardness.
     *
     * Charge: alkalinity less ammonium, plus nitrite and nitrate, is what calcium, sodium, chloride and the like carry. Whatever life
     * does to nitrogen leaves it as it was; only lime, peat and what is poured move it.
     *
     * @return array{nitrogen: float, phosphorus: float, potassium: float, iron: float, carbon: float, oxygen: float, charge: float,
     *     hardness: float}
     */
    public static function held(State $s, Parameters $p): array
    {
        $held = Matter::animal(array_sum($s->animals));
        foreach ([$s->scraps, $s->droppings, $s->litter] as $store) {
            $held->add($store);
        }
        $plants = array_sum($s->biomass) + array_sum($s->algae);

        return [
            'nitrogen' => $s->ammonia +
                $s->nitrite +
                $s->nitrate +
                $s->poreNitrogen +
                $s->soilNitrate +
                $s->flushNitrogen +
                $s->tabNitrogen +
                $s->readyNitrogen +
                $s->slowNitrogen +
                $held->nitrogen +
                array_sum($s->leafNitrogen) +
                array_sum($s->algaeNitrogen),
            'phosphorus' => $s->phosphorus + $s->soilPhosphorus + $held->phosphorus
                + $plants * $p->leafPhosphorus + array_sum($s->reserves[0]),
            'potassium' => $s->potassium + $s->soilPotassium + $held->potassium + $plants * $p->leafPotassium + array_sum($s->reserves[1]),
            'iron' => $s->iron + $s->soilIron + $held->iron + $plants * $p->leafIron + array_sum($s->reserves[2]),
            'carbon' => $s->carbon +
                $s->tannin +
                $s->headCarbon +
                $s->lime * Lime::CARBON_PER_GRAM +
                $s->quickCarbon +
                $s->slowCarbon +
                $held->carbon +
                $s->fat +
                $plants * $p->leafCarbon,
            'oxygen' => $s->oxygen + $s->headOxygen,
            'charge' => $s->alkalinity + $s->lime * Lime::ALKALINITY_PER_GRAM + self::nitrogenCharge($s),
            'hardness' => $s->hardness + $s->lime * Lime::HARDNESS_PER_GRAM,
        ];
    }

    /** meq that the water's nitrogen takes from its alkalinity. */
    public static function nitrogenCharge(State $s): float
    {
        return ($s->nitrite + $s->nitrate - $s->ammonia) / MolarMass::NITROGEN;
    }

    /** Books nitrogen that came in as nitrate, with the other ions that its charge goes with; ammonium as a negative amount. */
    public function salt(float $nitrogen): void
    {
        $this->charge += $nitrogen / MolarMass::NITROGEN;
    }

    /** Matter taken out of the tank is booked negative, matter put in positive. */
    public function add(float $nitrogen, float $phosphorus, float $potassium, float $iron, float $carbon): void
    {
        $this->nitrogen += $nitrogen;
        $this->phosphorus += $phosphorus;
        $this->potassium += $potassium;
        $this->iron += $iron;
        $this->carbon += $carbon;
    }
}
