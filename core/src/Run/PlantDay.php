<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Plant\Growth;
use Olvek\Core\Plant\Kind;

/**
 * Clumps on a day. Before the hours: what each could fix and take up. After them: growth, breathing, death, melt.
 *
 * μ = μmax·fT·I/(K_I+I)·min(h,18)/12·fC·min((1−Qmin/Q)/(1−Qmin/Qmax), fP, fK, fFe)·(1−crowding) − respiration − mortality
 * (P: Droop 1973 for the quota, Monod 1949 for the rest); uptake 2·μmax·Qmax·B·(Qmax−Q)/(Qmax−Qmin).
 *
 * @internal
 */
final class PlantDay
{
    /** Most of the water's phosphorus, potassium or iron that a day's growth may draw. J. */
    private const DRAWABLE = 0.8;
    /** Share of what the soil holds for roots that they can reach in a day. J (0.005–0.05). */
    private const SOIL_SHARE = 0.02;
    /** g dry below which a clump counts as dead. J. */
    private const DEAD = 1e-4;
    /** g dry of algae per m² below which spores keep it. J. */
    private const SPORES = 1e-3;
    /** Share of the surface at which house plants and other emergent growth stands. J. */
    private const RIM_SHARE = 0.3;

    /** @var list<Kind> */
    private readonly array $kinds;
    /** @var array<int, float> today's potential growth, g dry a day, before CO2 */
    private array $potential = [];
    /** @var array<int, float> mg N each could take from the water in a light hour */
    private array $appetite = [];
    /** @var array<int, float> mg N each could take from the bed today */
    private array $rootAppetite = [];
    /** @var array<int, array<int, float>> share of each clump's P, K, Fe that comes from the bed */
    private array $fromBed = [[], [], []];
    private float $algaePotential = 0.0;

    public function __construct(private readonly Facts $facts)
    {
        $this->kinds = array_map(static fn ($c): Kind => $c->kind, $facts->plan->clumps);
    }

    /** Lays out the day's potentials; returns the roots' appetite, mg N. */
    public function prepare(State $s, Day $day, float $age): float
    {
        $p = $this->facts->parameters;
        $span = $p->leafNitrogenMost - $p->leafNitrogenLeast;
        $hours = max(1e-9, $day->lightHours);
        $dayLength = min($day->lightHours, 18.0) / 12;
        $day->plantAppetite = $day->fixFree = $day->fixBicarbonate = 0.0;
        $crowd = $this->crowding($s);
        $roots = 0.0;
        $want = [];
        foreach ($this->kinds as $i => $kind) {
            $b = $s->biomass[$i];
            $quota = $b > 0 ? $s->leafNitrogen[$i] / $b : $p->leafNitrogenLeast;
            $hunger = max(0.0, ($p->leafNitrogenMost - $quota) / $span);
            $fed = max(0.0, 1 - $p->leafNitrogenLeast / $quota) / (1 - $p->leafNitrogenLeast / $p->leafNitrogenMost);
            $growth = $kind->growth->value * $p->plantGrowth * $day->theta;
            $lit = $day->light[$i] / ($kind->halfLight->value + $day->light[$i]) * $dayLength;
            $want[$i] = $growth * $lit * min(1.0, $fed) * max(0.0, 1 - $crowd[$i]) * $b;
            $most = 2 * $growth * $p->leafNitrogenMost * $b * $hunger;
            $rooted = $this->facts->soiled ? $kind->rootShare->value * Growth::rooted($age - $s->plantedOn[$i]) : 0.0;
            $this->rootAppetite[$i] = $most * $rooted;
            $roots += $this->rootAppetite[$i];
            // Half speed by night: over a day of h light hours the hourly rate is worked out so that both halves are counted.
            $this->appetite[$i] = $most * (1 - $rooted) / 24;
            $day->plantAppetite += $this->appetite[$i];
            $this->fromBed[0][$i] = $this->fromBed[1][$i] = $this->fromBed[2][$i] = $rooted;
        }
        $this->potential = $this->minerals($s, $want);
        foreach ($this->kinds as $i => $kind) {
            if ($kind->role->hasLeavesInAir()) {
                continue;
            }
            $carbon = $this->potential[$i] * $p->leafCarbon / $hours;
            if ($kind->bicarbonate) {
                $day->fixBicarbonate += $carbon;
            } else {
                $day->fixFree += $carbon;
            }
        }
        $this->prepareAlgae($s, $day, $hours, $dayLength, $span);

        return $roots;
    }

    /** Books what the day brought. */
    public function settle(State $s, Day $day, Books $books, float $age, float $fromRoots): void
    {
        $p = $this->facts->parameters;
        $roots = array_sum($this->rootAppetite);
        foreach ($this->kinds as $i => $kind) {
            $air = $kind->role->hasLeavesInAir();
            $s->leafNitrogen[$i] += ($roots > 0 ? $fromRoots * $this->rootAppetite[$i] / $roots : 0.0)
                + ($day->plantAppetite > 0 ? $day->plantNitrogen * $this->appetite[$i] / $day->plantAppetite : 0.0);
            $growth = $this->potential[$i] * ($air ? 1.0 : ($kind->bicarbonate ? $day->bicarbonateShare : $day->freeShare));
            $this->draw($s, $i, $growth);
            if ($air) {
                $books->carbon += $growth * $p->leafCarbon;
            }
            $s->biomass[$i] += $growth;
            $this->shed($s, $i, $kind, $age);
        }
        $this->settleAlgae($s, $day);
    }

    /** Breathing happens round the clock, so it is reckoned before the hours: mass burnt goes to CO2, its minerals to the water. */
    public function breathe(State $s, Day $day, Books $books): void
    {
        $p = $this->facts->parameters;
        foreach ($this->kinds as $i => $kind) {
            $burnt = (1 - exp(-$p->plantRespiration * $kind->growth->value * $day->theta)) * $s->biomass[$i];
            $s->biomass[$i] -= $burnt;
            $this->release($s, $burnt);
            // A leaf that shrinks holds no more nitrogen than a full one can; the rest leaks out.
            $excess = $s->leafNitrogen[$i] - $p->leafNitrogenMost * $s->biomass[$i];
            if ($excess > 0) {
                $s->leafNitrogen[$i] -= $excess;
                $day->ammoniaIn += $excess;
            }
            $carbon = $burnt * $p->leafCarbon;
            if ($kind->role->hasLeavesInAir()) {
                $books->carbon -= $carbon;
            } else {
                $day->carbonIn += $carbon;
                $day->oxygenOut += $carbon * WaterHours::OXYGEN_PER_CARBON;
            }
        }
        $burnt = (1 - exp(-$p->algaeRespiration * $day->theta)) * $s->algae;
        $s->algae -= $burnt;
        $this->release($s, $burnt);
        $day->carbonIn += $burnt * $p->leafCarbon;
        $day->oxygenOut += $burnt * $p->leafCarbon * WaterHours::OXYGEN_PER_CARBON;
        $excess = $s->algaeNitrogen - $p->leafNitrogenMost * $s->algae;
        if ($excess > 0) {
            $s->algaeNitrogen -= $excess;
            $day->ammoniaIn += $excess;
        }
        $this->seed($s, $books);
    }

    /** Spores come with air, hands and top-up: algae never die out. */
    private function seed(State $s, Books $books): void
    {
        $p = $this->facts->parameters;
        $missing = self::SPORES * $this->facts->litSurface - $s->algae;
        if ($missing > 0) {
            $s->algae += $missing;
            $s->algaeNitrogen += $missing * $p->leafNitrogenPlanted;
            $books->add($missing * $p->leafNitrogenPlanted, $missing * $p->leafPhosphorus, $missing * $p->leafPotassium, $missing * $p->leafIron, $missing * $p->leafCarbon);
        }
    }

    private function release(State $s, float $grams): void
    {
        $p = $this->facts->parameters;
        $s->phosphorus += $grams * $p->leafPhosphorus;
        $s->potassium += $grams * $p->leafPotassium;
        $s->iron += $grams * $p->leafIron;
    }

    /** Death and melt; what has dwindled to nothing goes whole. */
    private function shed(State $s, int $i, Kind $kind, float $age): void
    {
        $p = $this->facts->parameters;
        $since = $age - $s->plantedOn[$i];
        $lost = $p->plantMortality * $kind->growth->value * $s->biomass[$i];
        if ($since >= Growth::MELT_FROM && $since < Growth::MELT_TO) {
            $lost += $kind->melt->value * $s->plantedMass[$i] / (Growth::MELT_TO - Growth::MELT_FROM);
        }
        $lost = min($lost, $s->biomass[$i]);
        if ($s->biomass[$i] - $lost < self::DEAD) {
            $lost = $s->biomass[$i];
        }
        if ($lost <= 0.0) {
            return;
        }
        $nitrogen = $s->leafNitrogen[$i] * $lost / $s->biomass[$i];
        MulmDay::leaf($s, $p, $lost, $nitrogen);
        $s->biomass[$i] -= $lost;
        $s->leafNitrogen[$i] -= $nitrogen;
    }

    /** @return list<float> share (0–1) of the room that each clump's layer has filled */
    private function crowding(State $s): array
    {
        $surface = $floor = 0.0;
        foreach ($this->kinds as $i => $kind) {
            $filled = $s->biomass[$i] / $kind->densest->value;
            if ($kind->role->coversSurface()) {
                $surface += $filled;
            } elseif (!$kind->role->hasLeavesInAir()) {
                $floor += $filled;
            }
        }
        $crowd = [];
        foreach ($this->kinds as $i => $kind) {
            $crowd[] = match (true) {
                $kind->role->coversSurface() => $surface / $this->facts->surface,
                $kind->role->hasLeavesInAir() => $s->biomass[$i] / ($kind->densest->value * self::RIM_SHARE * $this->facts->surface),
                default => $floor / $this->facts->floor,
            };
        }

        return $crowd;
    }

    /**
     * Scarce phosphorus, potassium or iron hold growth back: each clump gets its share of what water and bed can give.
     *
     * @param array<int, float> $want
     *
     * @return list<float>
     */
    private function minerals(State $s, array $want): array
    {
        $p = $this->facts->parameters;
        $factor = array_fill(0, \count($want), 1.0);
        $pools = [[$p->leafPhosphorus, $s->phosphorus, $s->soilPhosphorus], [$p->leafPotassium, $s->potassium, $s->soilPotassium], [$p->leafIron, $s->iron, $s->soilIron]];
        foreach ($pools as $n => [$ratio, $water, $soil]) {
            $bedDemand = $waterDemand = 0.0;
            foreach ($want as $i => $grams) {
                $bedDemand += $grams * $ratio * $this->fromBed[$n][$i];
                $waterDemand += $grams * $ratio * (1 - $this->fromBed[$n][$i]);
            }
            $bed = $bedDemand > 0 ? min(1.0, self::SOIL_SHARE * $soil / $bedDemand) : 1.0;
            $free = $waterDemand > 0 ? min(1.0, self::DRAWABLE * $water / $waterDemand) : 1.0;
            foreach ($factor as $i => $so) {
                $rooted = $this->fromBed[$n][$i];
                $got = $rooted * $bed + (1 - $rooted) * $free;
                $factor[$i] = min($so, $got);
                $this->fromBed[$n][$i] = $got > 0 ? $rooted * $bed / $got : 0.0;
            }
        }

        return array_map(static fn (float $grams, float $share): float => $grams * $share, array_values($want), $factor);
    }

    /** Takes what growth is made of from bed and water, as they were shared out. */
    private function draw(State $s, int $i, float $growth): void
    {
        $p = $this->facts->parameters;
        $need = $growth * $p->leafPhosphorus;
        $s->soilPhosphorus -= $need * $this->fromBed[0][$i];
        $s->phosphorus -= $need * (1 - $this->fromBed[0][$i]);
        $need = $growth * $p->leafPotassium;
        $s->soilPotassium -= $need * $this->fromBed[1][$i];
        $s->potassium -= $need * (1 - $this->fromBed[1][$i]);
        $need = $growth * $p->leafIron;
        $s->soilIron -= $need * $this->fromBed[2][$i];
        $s->iron -= $need * (1 - $this->fromBed[2][$i]);
    }

    /** Algae: fast, with a keen appetite, held by light, room and being eaten. */
    private function prepareAlgae(State $s, Day $day, float $hours, float $dayLength, float $span): void
    {
        $p = $this->facts->parameters;
        $quota = $s->algae > 0 ? $s->algaeNitrogen / $s->algae : $p->leafNitrogenPlanted;
        $fed = max(0.0, 1 - $p->leafNitrogenLeast / $quota) / (1 - $p->leafNitrogenLeast / $p->leafNitrogenMost);
        $lit = $day->algaeLight / ($p->algaeHalfLight + $day->algaeLight) * $dayLength;
        $room = max(0.0, 1 - $s->algae / ($p->algaeDensest * $this->facts->litSurface));
        // What the plants leave of phosphorus, potassium and iron; a tenth is always within reach. J.
        $rest = min(1.0, 0.2 * $s->phosphorus / max(1e-9, $s->algae * $p->leafPhosphorus), 0.2 * $s->iron / max(1e-9, $s->algae * $p->leafIron), 0.2 * $s->potassium / max(1e-9, $s->algae * $p->leafPotassium));
        $this->algaePotential = min($p->algaeGrowth * $day->theta * $lit * min(1.0, $fed) * $room * $rest, 2.0) * $s->algae;
        $day->fixAlgae = $this->algaePotential * $p->leafCarbon / $hours;
        $day->algaeAppetite = 2 * $p->algaeGrowth * $day->theta * $p->leafNitrogenMost * $s->algae * max(0.0, ($p->leafNitrogenMost - $quota) / $span) / 24;
    }

    private function settleAlgae(State $s, Day $day): void
    {
        $p = $this->facts->parameters;
        $s->algaeNitrogen += $day->algaeNitrogen;
        // Plants drew first; algae grow on no more than is left.
        $growth = min($this->algaePotential * $day->algaeShare, self::DRAWABLE * $s->phosphorus / $p->leafPhosphorus, self::DRAWABLE * $s->potassium / $p->leafPotassium, self::DRAWABLE * $s->iron / $p->leafIron);
        $growth = max(0.0, $growth);
        // Carbon that was fixed beyond that is given off again.
        $s->carbon += max(0.0, $this->algaePotential * $day->algaeShare - $growth) * $p->leafCarbon;
        $s->phosphorus -= $growth * $p->leafPhosphorus;
        $s->potassium -= $growth * $p->leafPotassium;
        $s->iron -= $growth * $p->leafIron;
        $s->algae += $growth;
        $lost = (1 - exp(-$p->algaeMortality * $day->theta)) * max(0.0, $s->algae - self::DEAD);
        $nitrogen = $s->algae > 0 ? $s->algaeNitrogen * $lost / $s->algae : 0.0;
        MulmDay::leaf($s, $p, $lost, $nitrogen);
        $s->algae -= $lost;
        $s->algaeNitrogen -= $nitrogen;
    }
}
