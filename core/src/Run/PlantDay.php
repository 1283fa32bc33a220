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
    /** d⁻¹ at which growth can draw the water's phosphorus, potassium or iron at most. J (0.5–2). */
    private const DRAWABLE = 0.8;
    /** Share of what the soil holds for roots that they can reach in a day. J (0.005–0.05). */
    private const SOIL_SHARE = 0.02;
    /** g dry below which a clump counts as dead. J. */
    private const DEAD = 1e-4;
    /** How much of its growth a plant that lives by its roots loses without soil under it. J (0.3–0.7). */
    private const WANTS_SOIL = 0.5;
    /** Growth of what is buried that must not be, and how many times faster it rots. J; the rule itself C. */
    private const BURIED = 0.3;
    private const RHIZOME_ROT = 8.0;
    /** Growth of stems set down into raw soil until they have healed, and how much more they melt. J; the rule itself C. */
    private const BURNT_ROOTS = 0.5;
    private const BURNT_MELT = 1.5;
    /** Share of the surface at which house plants and other emergent growth stands. J. */
    private const RIM_SHARE = 0.3;

    /** @var list<Kind> */
    private readonly array $kinds;
    /** @var list<bool> whether each clump feeds on the carbon of the air */
    private readonly array $aerial;
    private readonly Foreseen $foreseen;
    private readonly Foreseen $foreseenNitrogen;
    /** @var array{float, float, float} mg of phosphorus, potassium and iron in the water at daybreak */
    private array $minerals = [0.0, 0.0, 0.0];
    /** @var array<int, float> mg N, mean of the day */
    private array $meanNitrogen = [];
    /** @var array<int, float> g dry, mean of the day */
    public array $mean = [];
    /** @var array<int, float> today's potential growth, g dry a day, before CO2 */
    private array $potential = [];
    /** @var array<int, float> share (0–1) of its growth that nutrients allow each clump today */
    public array $fed = [];
    /** @var array<int, float> the same for nitrogen alone */
    private array $nitrogenFed = [];
    /** @var array<int, string> what each is shortest of */
    public array $shortOf = [];
    /** @var array<int, float> mg N each could take from the water in a light hour */
    private array $appetite = [];
    /** @var array<int, float> mg N each could take from the bed today */
    private array $rootAppetite = [];
    /** @var array<int, array<int, float>> share of each clump's P, K, Fe that comes from the bed */
    private array $fromBed = [[], [], []];

    public function __construct(private readonly Facts $facts)
    {
        $this->kinds = array_map(static fn ($c): Kind => $c->kind, $facts->plan->clumps);
        $this->foreseen = new Foreseen();
        $this->foreseenNitrogen = new Foreseen();
        // In a sealed vessel the air over the water is the water's: its leaves breathe with it.
        $this->aerial = array_map(static fn (Kind $k): bool => $k->role->hasLeavesInAir() && !$facts->sealed, $this->kinds);
    }

    /** Takes the day's masses as they stand before anything eats, breathes or grows. */
    public function dawn(State $s): void
    {
        $this->minerals = [$s->phosphorus, $s->potassium, $s->iron];
        $this->mean = $this->foreseen->means($s->biomass);
        $this->meanNitrogen = $this->foreseenNitrogen->means($s->leafNitrogen);
    }

    /** Lays out the day's potentials; returns the roots' appetite, mg N. */
    public function prepare(State $s, Day $day, float $age): float
    {
        $p = $this->facts->parameters;
        $span = $p->leafNitrogenMost - $p->leafNitrogenLeast;
        $hours = max(1e-9, $day->lightHours);
        $dayLength = min($day->lightHours, 18.0) / 12;
        $day->plantAppetite = $day->fixFree = $day->fixBicarbonate = 0.0;
        $crowd = $this->crowding();
        $roots = 0.0;
        $want = [];
        foreach ($this->kinds as $i => $kind) {
            $b = $this->mean[$i];
            $quota = $b > 0 ? max(1e-6, $this->meanNitrogen[$i] / $b) : $p->leafNitrogenLeast;
            $hunger = max(0.0, ($p->leafNitrogenMost - $quota) / $span);
            $fed = max(0.0, 1 - $p->leafNitrogenLeast / $quota) / (1 - $p->leafNitrogenLeast / $p->leafNitrogenMost);
            $growth = $kind->growth->value * $p->plantGrowth * $day->theta * $this->seat($i, $age - $s->plantedOn[$i]);
            $lit = $day->light[$i] / ($kind->halfLight->value + $day->light[$i]) * $dayLength;
            $this->fed[$i] = $this->nitrogenFed[$i] = min(1.0, $fed);
            $this->shortOf[$i] = 'nitrogen';
            $want[$i] = $growth * $lit * min(1.0, $fed) * max(0.0, 1 - $crowd[$i]) * $b;
            $most = 2 * $growth * $p->leafNitrogenMost * $b * $hunger;
            $rooted = $this->facts->soiled ? $kind->rootShare->value * $this->facts->soilReach[$i] * Growth::ramp($age - $s->plantedOn[$i], ...$this->facts->rooting[$i]) : 0.0;
            $this->rootAppetite[$i] = $most * $rooted;
            $day->rootNeed += $growth * $lit * max(0.0, 1 - $crowd[$i]) * $b * Growth::LEAF_NITROGEN * $rooted;
            $roots += $this->rootAppetite[$i];
            // Half speed by night: over a day of h light hours the hourly rate is worked out so that both halves are counted.
            $this->appetite[$i] = $most * (1 - $rooted) / 24;
            $day->plantAppetite += $this->appetite[$i];
            $this->fromBed[0][$i] = $this->fromBed[1][$i] = $this->fromBed[2][$i] = $rooted;
        }
        $this->potential = $this->limited($s, $want);
        foreach ($s->plantedMass as $i => $mass) {
            // What has not been planted yet wants for nothing.
            $this->fed[$i] = $mass > 0 ? $this->fed[$i] : 1.0;
        }
        foreach ($this->kinds as $i => $kind) {
            if ($this->aerial[$i]) {
                continue;
            }
            $carbon = $this->potential[$i] * $p->leafCarbon / $hours;
            if ($kind->bicarbonate) {
                $day->fixBicarbonate += $carbon;
            } else {
                $day->fixFree += $carbon;
            }
        }

        return $roots;
    }

    /** Books what the day brought. */
    public function settle(State $s, Day $day, Books $books, float $age): void
    {
        $p = $this->facts->parameters;
        $roots = array_sum($this->rootAppetite);
        foreach ($this->kinds as $i => $kind) {
            $air = $this->aerial[$i];
            $s->leafNitrogen[$i] += ($roots > 0 ? $day->rooted * $this->rootAppetite[$i] / $roots : 0.0)
                + ($day->plantAppetite > 0 ? $day->plantNitrogen * $this->appetite[$i] / $day->plantAppetite : 0.0);
            $growth = $this->potential[$i] * ($air ? 1.0 : ($kind->bicarbonate ? $day->bicarbonateShare : $day->freeShare));
            $this->draw($s, $i, $growth);
            if ($air) {
                $books->carbon += $growth * $p->leafCarbon;
            }
            $s->biomass[$i] += $growth;
            $this->shed($s, $day, $i, $kind, $age);
        }
        $this->foreseen->learn($s->biomass);
        $this->foreseenNitrogen->learn($s->leafNitrogen);
    }

    /** Breathing happens round the clock, so it is reckoned before the hours: mass burnt goes to CO2, its minerals to the water. */
    public function breathe(State $s, Day $day, Books $books): void
    {
        $p = $this->facts->parameters;
        foreach ($this->kinds as $i => $kind) {
            $burnt = min(0.5 * $s->biomass[$i], $p->plantRespiration * $kind->growth->value * $day->theta * $this->mean[$i]);
            $s->biomass[$i] -= $burnt;
            $this->release($s, $burnt);
            // A leaf that shrinks holds no more nitrogen than a full one can; the rest leaks out.
            $excess = $s->leafNitrogen[$i] - $p->leafNitrogenMost * $s->biomass[$i];
            if ($excess > 0) {
                $s->leafNitrogen[$i] -= $excess;
                $day->ammoniaIn += $excess;
            }
            $carbon = $burnt * $p->leafCarbon;
            if ($this->aerial[$i]) {
                $books->carbon -= $carbon;
            } else {
                $day->carbonIn += $carbon;
                $day->oxygenOut += $carbon * WaterHours::OXYGEN_PER_CARBON;
            }
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
    private function shed(State $s, Day $day, int $i, Kind $kind, float $age): void
    {
        $p = $this->facts->parameters;
        $since = $age - $s->plantedOn[$i];
        $rots = $this->facts->deep[$i] && $this->mustNotBeBuried($kind) ? self::RHIZOME_ROT : 1.0;
        $lost = $rots * $p->plantMortality * $day->theta * $kind->growth->value * $this->mean[$i];
        if ($since >= Growth::MELT_FROM && $since < Growth::MELT_TO) {
            $lost += min(1.0, $kind->melt->value * ($this->facts->deep[$i] ? self::BURNT_MELT : 1.0)) * $s->plantedMass[$i] / (Growth::MELT_TO - Growth::MELT_FROM);
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

    /** Factor on growth of how a clump is seated: soil within reach of roots that want it, and not down in raw soil, nor with the rhizome buried. */
    private function seat(int $i, float $since): float
    {
        $kind = $this->kinds[$i];
        $hungry = 1 - self::WANTS_SOIL * $kind->rootShare->value * (1 - $this->facts->soilReach[$i]);
        if (!$this->facts->deep[$i]) {
            return $hungry;
        }

        return $hungry * match (true) {
            $this->mustNotBeBuried($kind) => self::BURIED,
            $since < Growth::MELT_TO => self::BURNT_ROOTS,
            default => 1.0,
        };
    }

    private function mustNotBeBuried(Kind $kind): bool
    {
        return 0.0 === $kind->planting->value;
    }

    /** @return list<float> share (0–1) of the room that each clump's layer has filled */
    private function crowding(): array
    {
        $surface = $floor = 0.0;
        foreach ($this->kinds as $i => $kind) {
            $filled = $this->mean[$i] / $kind->densest->value;
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
                $kind->role->hasLeavesInAir() => $this->mean[$i] / ($kind->densest->value * self::RIM_SHARE * $this->facts->surface),
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
    private function limited(State $s, array $want): array
    {
        $p = $this->facts->parameters;
        $factor = array_fill(0, \count($want), 1.0);
        $pools = [[$p->leafPhosphorus, $s->phosphorus, $s->soilPhosphorus], [$p->leafPotassium, $s->potassium, $s->soilPotassium], [$p->leafIron, $s->iron, $s->soilIron]];
        $names = ['phosphorus', 'potassium', 'iron'];
        foreach ($pools as $n => [$ratio, $water, $soil]) {
            $bedDemand = $waterDemand = 0.0;
            foreach ($want as $i => $grams) {
                $bedDemand += $grams * $ratio * $this->fromBed[$n][$i];
            }
            $bed = $bedDemand > 0 ? min(1.0, self::SOIL_SHARE * $soil / $bedDemand) : 1.0;
            // What roots do not find, leaves take from the water. M: Barko & Smart (1986), Ecology 67: both ways are open to rooted kinds.
            foreach ($want as $i => $grams) {
                $this->fromBed[$n][$i] *= $bed;
                $waterDemand += $grams * $ratio * (1 - $this->fromBed[$n][$i]);
            }
            // Of what the day brings, half is there at noon.
            $free = self::drawn(min($water, ($water + $this->minerals[$n]) / 2), $waterDemand);
            foreach ($factor as $i => $so) {
                $rooted = $this->fromBed[$n][$i];
                $got = $rooted + (1 - $rooted) * $free;
                $factor[$i] = min($so, $got);
                // Whatever is shortest holds growth; nitrogen has its say already in what is wanted.
                if ($got < 1.0 && $got * $this->nitrogenFed[$i] < $this->fed[$i]) {
                    $this->fed[$i] = $got * $this->nitrogenFed[$i];
                    $this->shortOf[$i] = $got < $this->nitrogenFed[$i] ? $names[$n] : 'nitrogen';
                }
                $this->fromBed[$n][$i] = $got > 0 ? $rooted / $got : 0.0;
            }
        }

        return array_map(static fn (float $grams, float $share): float => $grams * $share, array_values($want), $factor);
    }

    /**
     * Share (0–1) of a day's demand that the water can give, drawn at the demanded rate or at DRAWABLE times what is left, whichever
     * is less: first the one, and from the moment the store has sunk to where they meet the other, exactly.
     */
    private static function drawn(float $store, float $demand): float
    {
        if ($demand <= 0.0) {
            return 1.0;
        }
        $meet = $demand / self::DRAWABLE;
        $full = max(0.0, min(1.0, ($store - $meet) / $demand));

        return $full + min($store, $meet) * (1 - exp(-self::DRAWABLE * (1 - $full))) / $demand;
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
}
