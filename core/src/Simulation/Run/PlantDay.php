<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Plant\Spread;
use Olvek\Core\Nature\Water\Oxygen;

/**
 * Plants on a day. Before the hours: what each could fix and take up. After them: growth, breathing, death, melt.
 *
 * μ = μmax·fT·I/(K_I+I)·min(h,18)/12·fC·min(fN, fP, fK, fFe)·(1−crowding⁴) − respiration − mortality, with
 * breathing × 1.06^(T−25), and what heat beyond a kind's warmest kills;
 * fN = (Q−6)/(15−6) within 0–1 (P: Droop 1973 for the quota, Monod 1949 for the rest); uptake 2.5·μmax·Qmax·B·(Qmax−Q)/(Qmax−Qmin);
 * fP, fK, fFe: what the day brings and half of what is laid by, against what growth asks.
 *
 * @internal
 */
final class PlantDay
{
    /** d⁻¹ at which growth can draw the water's phosphorus, potassium or iron at most. J (0.5–2). */
    private const DRAWABLE = 0.8;
    /** Share of what a plant has laid by that a day's growth can draw. J (0.3–1). */
    private const LAID_BY = 0.5;
    /** Share of what the soil holds for roots that they can reach in a day. J (0.005–0.05). */
    private const SOIL_SHARE = 0.02;
    /** g dry below which a clump counts as dead. J. */
    private const DEAD = 1e-4;
    /** Growth of a house plant until its roots have come down. C: it stands and yellows; J (0–0.3). */
    private const STANDS = 0.15;
    /** Growth of what is buried that must not be, and how many times faster it rots. J; the rule itself C. */
    private const BURIED = 0.3;
    private const RHIZOME_ROT = 8.0;
    /** Growth of stems set down into raw soil until they have healed, and how much more they melt. J; the rule itself C. */
    private const BURNT_ROOTS = 0.5;
    private const BURNT_MELT = 1.5;
    /** m beyond its leaves that a clump can still use. J (0.03–0.08). */
    private const REACH = 0.05;
    /** Times its own densest at which a clump in its place stands still. M: standing crops of 300–900 g/m² under water. */
    private const DENSEST = 1.6;
    /** Days in which pads reach the surface, and share of the leaves that lie there. C: 2–6 weeks; J. */
    private const PADS_FROM = 14.0;
    private const PADS_TO = 42.0;
    private const PADS = 0.8;
    /** Times the depth at which a stem's top is well out of the water, and share of its leaves that are then. J. */
    private const OUT = 1.45;
    private const OUT_SHARE = 0.6;
    /** Share fed below which a plant is not asked what it would do with plenty, and mg N/g of a leaf that has it. J; M Duarte (1992). */
    private const STARVED = 0.2;
    private const AMPLE = 30.0;
    /** mg/L of sodium from which plants slow down, and span to where they stop. M (50–200; 200–800). */
    private const SALT_FROM = 100.0;
    private const SALT_SPAN = 400.0;
    /** Times a °C that leaves breathe faster. M: Q10 1.8–2 of plants; warmth speeds it on where growth has long ended. */
    private const BREATH = 1.06;
    /** °C over its warmest from which a plant dies back, d⁻¹ that it then loses for each further degree, and most. J. */
    public const SCORCHED = 3.0;
    private const SCORCH = 0.02;
    private const SCORCH_MOST = 0.2;
    /**
     * Days of a week's settling within which tender kinds lose most of what they have, from and to which day, and how much. C: over half by
     * day 10; J.
     */
    private const UNSETTLED = 7;
    private const TENDER_TO = 12.0;
    private const TENDER_LOSS = 32.0;
    private const TENDER_MOST = 0.8;

    /** @var array<int, PlantKind> those of them that may reach the surface and put leaves into the air, by clump */
    private readonly array $emerging;
    private readonly DayMean $foreseen;
    private readonly DayMean $foreseenNitrogen;
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
    /** @var array<int, float> share (0–1) of each clump's leaves that breathe the air's carbon */
    private array $out = [];
    /** @var array<int, float> place of half saturation of fixation between nodes (CarbonNodes) */
    private array $node = [];
    /**
     * @var array{array<int, float>, array<int, float>, array<int, float>} mg of phosphorus, potassium and iron that each clump gets from
     * the bed and from the water today
     */
    private array $fromBed = [[], [], []];
    /** @var array{array<int, float>, array<int, float>, array<int, float>} */
    private array $fromWater = [[], [], []];
    /** @var array<int, float> share (0–1) of each clump's nitrogen that its roots bring today */
    private array $rooted = [];
    /** @var array<int, float> g dry breathed today */
    private array $burnt = [];
    /** @var array<int, float> factor of warmth on each kind's growth today */
    private array $warmth = [];
    /** @var array<int, float> share that heat kills of each today */
    private array $scorched = [];
    private float $breath = 1.0;
    private float $warmthAt = -273.0;

    public function __construct(private readonly RunConstants $facts)
    {
        $this->foreseen = new DayMean();
        $this->foreseenNitrogen = new DayMean();
        // In a sealed vessel the air over the water is the water's: its leaves breathe with it.
        $this->out = array_map(static fn (ClumpConstants $c): float => $c->inAir && !$facts->sealed ? 1.0 : 0.0, $facts->clumps);
        $this->emerging = array_filter(
            array_map(static fn (ClumpConstants $c): PlantKind => $c->kind, $facts->clumps),
            fn (PlantKind $kind, int $i): bool => !$facts->sealed && 0.0 === $this->out[$i] && $kind->height->value >= $facts->depth
                && (PlantRole::Lily === $kind->role || $kind->role->growsOut()),
            \ARRAY_FILTER_USE_BOTH,
        );
    }

    /** Takes the day's masses as they stand before anything eats, breathes or grows. */
    public function dawn(State $s, float $age): void
    {
        $this->minerals = [$s->phosphorus, $s->potassium, $s->iron];
        $this->mean = $this->foreseen->means($s->biomass);
        foreach ($this->emerging as $i => $kind) {
            $this->out[$i] = $this->out($s, $i, $kind, $age - $s->plantedOn[$i]);
        }
        $this->meanNitrogen = $this->foreseenNitrogen->means($s->leafNitrogen);
    }

    /** Lays out the day's potentials; returns the roots' appetite, mg N. */
    public function prepare(State $s, Day $day, float $age): float
    {
        $p = $this->facts->parameters;
        $most = $p->leafNitrogenMost;
        $least = $p->leafNitrogenLeast;
        $span = $most - $least;
        $full = $p->leafNitrogenFull - $least;
        $hours = max(1e-9, $day->lightHours);
        // Softened water: most freshwater plants slow down from some 100 mg/L of sodium and stop around 500.
        $salt = max(0.0, min(1.0, 1 - ($s->sodium / $s->volume - self::SALT_FROM) / self::SALT_SPAN));
        $speed = $p->plantGrowth * $salt * $day->vigour;
        $roots = $appetites = 0.0;
        $crowd = $this->crowding($day);
        // Local arrays: a property's element is four times as dear to write.
        [$means, $nitrogens, $warmth, $plantedOn] = [$this->mean, $this->meanNitrogen, $this->warmth, $s->plantedOn];
        [$lits, $lights] = [$day->lit, $day->light];
        $want = $rooted = $fromBed = $fed = $rootAppetite = $appetite = $nodes = [];
        $soiled = $this->facts->soiled;
        $product = $p->structure->product;
        foreach ($this->facts->clumps as $i => $clump) {
            $b = $means[$i];
            $since = $age - $plantedOn[$i];
            $quota = $b > 0 ? $nitrogens[$i] / $b : $least;
            $hunger = $quota < $most ? ($most - $quota) / $span : 0.0;
            $growth = $clump->growth * $speed * $warmth[$i] * ($clump->settles ? $this->seat($clump, $since) : $clump->seated);
            $nitrogen = ($quota - $least) / $full;
            $nitrogen = $fed[] = $nitrogen > 1.0 ? 1.0 : ($nitrogen > 0.0 ? $nitrogen : 0.0);
            $room = 1 - $crowd[$i];
            $want[] = $room > 0.0 ? $growth * $lits[$i] * $room * $b * $nitrogen : 0.0;
            $takes = $p->leafUptake * $growth * $most * $b * $hunger;
            $ramp = $soiled ? $clump->soilReach * $clump->rooted($since) : 0.0;
            $byRoots = $rooted[] = $clump->rootShare * $ramp;
            $fromBed[] = $clump->fromBed * $ramp;
            $roots += $rootAppetite[] = $takes * $byRoots;
            // Half speed by night: over a day of h light hours the hourly rate is worked out so that both halves are counted.
            $appetites += $appetite[] = ($takes * (1 - $byRoots)) / 24;
            $light = $lights[$i];
            $nodes[] = CarbonNodes::place(
                $clump->carbonHalf * ($product ? 1.0 : $light / ($clump->halfLight + $light)),
            );
        }
        $this->fed = $this->nitrogenFed = $fed;
        $this->rootAppetite = $rootAppetite;
        $this->appetite = $appetite;
        $this->node = $nodes;
        $day->plantAppetite = $appetites;
        $this->rooted = $rooted;
        $this->potential = $this->limited($s, $want, [$fromBed, $rooted, $fromBed]);
        $day->phosphorusDrawn = array_sum($this->fromWater[0]);
        $day->ironDrawn = array_sum($this->fromWater[2]);
        foreach ($s->plantedMass as $i => $mass) {
            // What has not been planted yet wants for nothing.
            if ($mass <= 0) {
                $this->fed[$i] = 1.0;
            }
        }
        $free = $bicarbonate = [0.0, 0.0, 0.0, 0.0];
        $out = $this->out;
        $potential = $this->potential;
        foreach ($this->facts->clumps as $i => $clump) {
            $carbon = ((1 - $out[$i]) * $potential[$i] * $p->leafCarbon) / $hours;
            if ($carbon <= 0.0) {
                continue;
            }
            $node = CarbonNodes::below($nodes[$i]);
            $share = $nodes[$i] - $node;
            $able = $clump->bicarbonate;
            $bicarbonate[$node] += $able * (1 - $share) * $carbon;
            $bicarbonate[$node + 1] += $able * $share * $carbon;
            $free[$node] += (1 - $able) * (1 - $share) * $carbon;
            $free[$node + 1] += (1 - $able) * $share * $carbon;
        }
        $day->fixFree = [$free[0], $free[1], $free[2], $free[3]];
        $day->fixBicarbonate = [$bicarbonate[0], $bicarbonate[1], $bicarbonate[2], $bicarbonate[3]];

        return $roots;
    }

    /** Books what the day brought. */
    public function settle(State $s, Day $day, MassBalance $books, float $age): void
    {
        $p = $this->facts->parameters;
        $roots = array_sum($this->rootAppetite);
        $perRoot = $roots > 0 ? $day->rooted / $roots : 0.0;
        $perLeaf = $day->plantAppetite > 0 ? $day->plantNitrogen / $day->plantAppetite : 0.0;
        $free = $day->freeShare;
        $both = $day->bicarbonateShare;
        [$out, $potential, $nodes] = [$this->out, $this->potential, $this->node];
        $grown = [];
        $fromAir = $rootNeed = $exported = $exportable = 0.0;
        foreach ($this->facts->clumps as $i => $clump) {
            $node = CarbonNodes::below($nodes[$i]);
            $share = $nodes[$i] - $node;
            $able = $clump->bicarbonate;
            $got =
                (1 - $able) * ((1 - $share) * $free[$node] + $share * $free[$node + 1]) +
                $able * ((1 - $share) * $both[$node] + $share * $both[$node + 1]);
            $inAir = $out[$i] * $potential[$i];
            $grown[] = $inAir + (1 - $out[$i]) * $potential[$i] * $got;
            $fromAir += $inAir;
        }
        $books->carbon += $fromAir * $p->leafCarbon;
        $this->draw($s, $grown);
        [$fed, $nitrogenFed, $rootAppetite, $appetite] = [$this->fed, $this->nitrogenFed, $this->rootAppetite, $this->appetite];
        [$rooted, $burnt] = [$this->rooted, $this->burnt];
        [$masses, $nitrogens, $litter] = [$s->biomass, $s->leafNitrogen, $s->litter];
        [$phosphorus, $potassium, $iron] = $s->reserves;
        foreach ($this->facts->clumps as $i => $clump) {
            $growth = $grown[$i];
            $before = $nitrogens[$i];
            $grams = $masses[$i] + $growth;
            $nitrogen = $before + $perRoot * $rootAppetite[$i] + $perLeaf * $appetite[$i];
            $lost = $this->lost($s, $i, $clump, $age);
            // What has dwindled to nothing goes whole.
            if ($grams - $lost < self::DEAD) {
                $lost = $grams;
            }
            if ($lost > 0.0) {
                // With all that is in it.
                $share = $lost < $grams ? $lost / $grams : 1.0;
                $left = 1 - $share;
                $fallen = $share * $grams;
                $litter->carbon += $fallen * $p->leafCarbon;
                $litter->nitrogen += $share * $nitrogen;
                $litter->phosphorus += $fallen * $p->leafPhosphorus + $share * $phosphorus[$i];
                $litter->potassium += $fallen * $p->leafPotassium + $share * $potassium[$i];
                $litter->iron += $fallen * $p->leafIron + $share * $iron[$i];
                $phosphorus[$i] *= $left;
                $potassium[$i] *= $left;
                $iron[$i] *= $left;
                $nitrogen *= $left;
                $grams -= $fallen;
            }
            $masses[$i] = $grams;
            $nitrogens[$i] = $nitrogen;
            $kept = $nitrogen - $before;
            $hadNitrogen = $nitrogenFed[$i];
            $couldGrow = $growth / ($hadNitrogen > self::STARVED ? $hadNitrogen : self::STARVED);
            $had = $fed[$i];
            $rootNeed += ($growth / ($had > self::STARVED ? $had : self::STARVED)) * Growth::LEAF_NITROGEN * $rooted[$i];
            $exported += $kept;
            // Were nitrogen ample, it would grow as light and carbon allow, with leaves as full as leaves usually are.
            $ample = ($couldGrow - $lost - $burnt[$i]) * self::AMPLE;
            $exportable += $ample > $kept ? $ample : $kept;
        }
        $day->rootNeed += $rootNeed;
        $day->exported += $exported;
        $day->exportable += $exportable;
        $s->biomass = $masses;
        $s->leafNitrogen = $nitrogens;
        $s->reserves = [$phosphorus, $potassium, $iron];
        $this->foreseen->learn($masses);
        $this->foreseenNitrogen->learn($nitrogens);
    }

    /**
     * Breathing happens round the clock, so it comes before the hours: mass burnt goes to CO2, its minerals to the water. What grows in
     * good light breathes twice what rests in the dark. M: growth and maintenance each take about half.
     */
    public function breathe(State $s, Day $day, MassBalance $books): void
    {
        $p = $this->facts->parameters;
        $this->warm($day->celsius);
        [$grams, $nitrogen, $means, $lits] = [$s->biomass, $s->leafNitrogen, $this->mean, $day->lit];
        $outs = $this->out;
        [$breath, $fullest] = [$p->plantRespiration * $this->breath, $p->leafNitrogenMost];
        $sum = $intoAir = $leaks = 0.0;
        $all = [];
        foreach ($this->facts->clumps as $i => $clump) {
            $lit = $lits[$i];
            $burnt = $breath * $clump->growth * (0.5 + 0.5 * ($lit < 1.0 ? $lit : 1.0)) * $means[$i];
            $half = 0.5 * $grams[$i];
            $burnt = $all[] = $burnt < $half ? $burnt : $half;
            $left = $grams[$i] -= $burnt;
            $sum += $burnt;
            // What stands in the air breathes into it.
            $intoAir += $outs[$i] * $burnt;
            // A leaf that shrinks holds no more nitrogen than a full one can; the rest leaks out.
            $excess = $nitrogen[$i] - $fullest * $left;
            if ($excess > 0) {
                $nitrogen[$i] -= $excess;
                $leaks += $excess;
            }
        }
        $s->phosphorus += $sum * $p->leafPhosphorus;
        $s->potassium += $sum * $p->leafPotassium;
        $s->iron += $sum * $p->leafIron;
        $day->ammoniaIn += $leaks;
        $books->carbon -= $intoAir * $p->leafCarbon;
        $carbon = ($sum - $intoAir) * $p->leafCarbon;
        $day->carbonIn += $carbon;
        $day->oxygenOut += $carbon * Oxygen::PER_CARBON;
        $s->biomass = $grams;
        $s->leafNitrogen = $nitrogen;
        $this->burnt = $all;
    }

    private function warm(float $celsius): void
    {
        if ($celsius === $this->warmthAt) {
            return;
        }
        $this->warmthAt = $celsius;
        $this->breath = self::BREATH ** ($celsius - 25);
        $warmth = $scorched = [];
        foreach ($this->facts->clumps as $clump) {
            $warmth[] = $clump->warmth->factor($celsius);
            $over = $celsius - $clump->kind->warmest->value - self::SCORCHED;
            $scorched[] = $over > 0.0 ? min(self::SCORCH_MOST, self::SCORCH * $over) : 0.0;
        }
        $this->warmth = $warmth;
        $this->scorched = $scorched;
    }

    /**
     * Share of the leaves that are in the air of a clump that may reach it: a lily's pads, the tops of stems that have come to the surface.
     */
    private function out(State $s, int $i, PlantKind $kind, float $since): float
    {
        if (PlantRole::Lily === $kind->role) {
            return self::PADS * Growth::ramp($since, self::PADS_FROM, self::PADS_TO);
        }
        if ($s->plantedMass[$i] <= 0) {
            return 0.0;
        }
        $height = $kind->height->value * Spread::height($this->mean[$i] / $s->plantedMass[$i]);

        return self::OUT_SHARE * Growth::ramp($height / $this->facts->depth, 1.0, self::OUT);
    }

    /** g dry that death and melt take. */
    private function lost(State $s, int $i, ClumpConstants $clump, float $age): float
    {
        $p = $this->facts->parameters;
        $since = $age - $s->plantedOn[$i];
        $rots = $clump->buried ? self::RHIZOME_ROT : 1.0;
        $lost = ($rots * $p->plantMortality * $this->warmth[$i] * $clump->growth + $this->scorched[$i]) * $this->mean[$i];
        if ($since >= Growth::MELT_FROM && $since < Growth::MELT_TO) {
            [$share, $until] = $this->melt($s, $i, $clump);
            $lost += $since < $until ? ($share * $s->plantedMass[$i]) / ($until - Growth::MELT_FROM) : 0.0;
        }

        return $lost;
    }

    /** @return array{float, float} share of the planted mass that melts, and the day after planting by which it has */
    private function melt(State $s, int $i, ClumpConstants $clump): array
    {
        $burnt = $clump->deep ? self::BURNT_MELT : 1.0;
        if ($clump->kind->sensitive && $s->plantedOn[$i] < self::UNSETTLED) {
            return [min(self::TENDER_MOST, $burnt * self::TENDER_LOSS * $clump->kind->melt->value ** 3), self::TENDER_TO];
        }

        return [min(1.0, $burnt * $clump->kind->melt->value * $clump->melts), Growth::MELT_TO];
    }

    /**
     * Factor on growth of how a clump is seated: soil within reach of roots that want it, and not down in raw soil, nor with the rhizome
     * buried.
     */
    private function seat(ClumpConstants $clump, float $since): float
    {
        $hungry = $clump->seated;
        if ($clump->house) {
            // Roots made in soil must be made anew in water, and then reach the bed.
            $hungry *= self::STANDS + (1 - self::STANDS) * $clump->rooted($since);
        }
        if (!$clump->deep) {
            return $hungry;
        }

        return $hungry *
            match (true) {
                $clump->buried => self::BURIED,
                $since < Growth::MELT_TO => self::BURNT_ROOTS,
                default => 1.0,
            };
    }

    /**
     * Share (0–1) of its growth that each clump loses for want of room: by its own kind in its own place, and on the floor by all that
     * stand on it. Leaves that shade one another are told by the light, so this bites only near the densest.
     *
     * @return list<float>
     */
    private function crowding(Day $day): array
    {
        $facts = $this->facts;
        $means = $this->mean;
        $areas = $day->areas;
        $surface = $floor = 0.0;
        foreach ($facts->clumps as $i => $clump) {
            if ($clump->floats) {
                $surface += $means[$i] / $clump->densest;
            } elseif ($clump->stands) {
                $floor += $means[$i] / $clump->densest;
            }
        }
        $surface /= $facts->surface * $facts->floaterPart;
        $floor /= self::DENSEST * $facts->floor;
        $crowd = [];
        $early = $facts->parameters->structure->earlyRoom;
        foreach ($facts->clumps as $i => $clump) {
            $mass = $means[$i];
            if ($clump->floats) {
                $crowd[] = $surface;
                continue;
            }
            if ($clump->house) {
                $crowd[] = $mass / ($clump->densest * $clump->pieces);
                continue;
            }
            $radius = sqrt($areas[$i] / \M_PI) + self::REACH;
            $disc = \M_PI * $radius * $radius;
            $own = $mass / (self::DENSEST * $clump->densest * ($disc < $facts->surface ? $disc : $facts->surface));
            $filled = $clump->stands && $floor > $own ? $floor : $own;
            $crowd[] = $early ? $filled : $filled * $filled * $filled * $filled;
        }

        return $crowd;
    }

    /**
     * Scarce phosphorus, potassium or iron hold growth back: each clump gets its share of what water and bed can give, and draws on what
     * it has laid by.
     *
     * @param list<float>       $want   g dry
     * @param list<list<float>> $rooted share of phosphorus, potassium and iron that each draws from the bed
     *
     * @return list<float>
     */
    private function limited(State $s, array $want, array $rooted): array
    {
        $p = $this->facts->parameters;
        $factor = array_fill(0, \count($want), 1.0);
        $shortOf = array_fill(0, \count($want), 'nitrogen');
        [$fed, $nitrogenFed, $means, $refill] = [$this->fed, $this->nitrogenFed, $this->mean, $p->reserveRefill];
        $pools = [
            ['phosphorus', $p->leafPhosphorus, $p->reservePhosphorus, $s->phosphorus, $s->soilPhosphorus],
            ['potassium', $p->leafPotassium, $p->reservePotassium, $s->potassium, $s->soilPotassium],
            ['iron', $p->leafIron, $p->reserveIron, $s->iron, $s->soilIron],
        ];
        foreach ($pools as $n => [$name, $ratio, $reserve, $water, $soil]) {
            $bedDemand = $demand = 0.0;
            $ask = $fromBed = $fromWater = [];
            $laidBy = $s->reserves[$n];
            $byRoots = $rooted[$n];
            foreach ($want as $i => $grams) {
                $asked = $grams * $ratio + $refill * ($reserve * $means[$i] - $laidBy[$i]);
                $asked = $ask[] = $asked > 0.0 ? $asked : 0.0;
                $demand += $asked;
                $bedDemand += $asked * $byRoots[$i];
            }
            $bed = $bedDemand > 0 ? min(1.0, (self::SOIL_SHARE * $soil) / $bedDemand) : 1.0;
            // What roots do not find, leaves take from the water. M: Barko & Smart (1986), Ecology 67: both ways are open to rooted kinds.
            $rusts = 2 === $n ? MulmDay::rusting($s) : 0.0;
            $free = self::drawn($this->minerals[$n], $water - $this->minerals[$n], $rusts, $demand - $bed * $bedDemand);
            foreach ($want as $i => $grams) {
                $rootShare = $byRoots[$i] * $bed;
                $down = $fromBed[] = $ask[$i] * $rootShare;
                $up = $fromWater[] = $ask[$i] * (1 - $rootShare) * $free;
                $need = $grams * $ratio;
                if ($need <= 0.0) {
                    continue;
                }
                // Whatever is shortest holds growth; nitrogen has its say already in what is wanted.
                $got = ($down + $up + self::LAID_BY * $laidBy[$i]) / $need;
                if ($got < $factor[$i]) {
                    $factor[$i] = $got;
                    $nitrogen = $nitrogenFed[$i];
                    if ($got * $nitrogen < $fed[$i]) {
                        $fed[$i] = $got * $nitrogen;
                        $shortOf[$i] = $got < $nitrogen ? $name : 'nitrogen';
                    }
                }
            }
            $this->fromBed[$n] = $fromBed;
            $this->fromWater[$n] = $fromWater;
        }
        $this->fed = $fed;
        $this->shortOf = $shortOf;
        $growth = [];
        foreach ($want as $i => $grams) {
            $growth[] = $grams * $factor[$i];
        }

        return $growth;
    }

    /**
     * Share (0–1) of a day's demand that the water can give, drawn at the demanded rate or at DRAWABLE times what is left, whichever
     * is less.
     *
     * Two cases are exact, and the better counts: a store that is full at dawn and sinks, first by what is asked and, from where the two
     * meet, by what can be drawn; and one so scarce that all day only what comes in can be.
     *
     * @param float $store  mg at daybreak
     * @param float $inflow mg that the day brings, or takes
     * @param float $rusts  d⁻¹ at which it is lost beside
     * @param float $demand mg
     */
    private static function drawn(float $store, float $inflow, float $rusts, float $demand): float
    {
        if ($demand <= 0.0) {
            return 1.0;
        }
        $rate = $rusts + self::DRAWABLE;
        $scarce = (self::DRAWABLE * ($inflow / $rate + (($store - $inflow / $rate) * (1 - exp(-$rate))) / $rate)) / $demand;
        // Of what the day brings, half is there at noon; what rusts is gone by then in part.
        $there = $store + $inflow / 2;
        $there *= $rusts > 0.0 ? (1 - exp(-$rusts)) / $rusts : 1.0;
        $meet = $demand / self::DRAWABLE;
        $full = max(0.0, min(1.0, ($there - $meet) / $demand));
        $plenty = $full + (min($there, $meet) * (1 - exp(-self::DRAWABLE * (1 - $full)))) / $demand;

        return max(0.0, min(1.0, max($scarce, $plenty)));
    }

    /**
     * Takes in what bed and water gave; what growth is built with comes out of that and of what was laid by.
     *
     * @param array<int, float> $grown g dry by clump
     */
    private function draw(State $s, array $grown): void
    {
        $p = $this->facts->parameters;
        foreach ([$p->leafPhosphorus, $p->leafPotassium, $p->leafIron] as $n => $ratio) {
            $held = $s->reserves[$n];
            $bed = $this->fromBed[$n];
            $water = $this->fromWater[$n];
            foreach ($grown as $i => $grams) {
                $held[$i] += $bed[$i] + $water[$i] - $grams * $ratio;
            }
            $s->reserves[$n] = $held;
        }
        $s->soilPhosphorus -= array_sum($this->fromBed[0]);
        $s->phosphorus -= array_sum($this->fromWater[0]);
        $s->soilPotassium -= array_sum($this->fromBed[1]);
        $s->potassium -= array_sum($this->fromWater[1]);
        $s->soilIron -= array_sum($this->fromBed[2]);
        $s->iron -= array_sum($this->fromWater[2]);
    }
}
