<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Nature\Bed\Amendment;
use Olvek\Core\Nature\Bed\Dose;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Bed\Release;
use Olvek\Core\Nature\Hardscape\Piece;
use Olvek\Core\Nature\Light\Canopy;
use Olvek\Core\Nature\Water\Carbonate;
use Olvek\Core\Nature\Water\CarbonSpeciation;
use Olvek\Core\Nature\Water\Oxygen;
use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Hours\Lime;

/** What of a plan stays the same through a run, worked out once. */
final readonly class RunConstants
{
    /** How much faster a bed that is turned over lets through. J (0.2–1). */
    private const BURROWING = 0.5;

    public float $floor;
    public float $surface;
    public float $volume;
    /** m of free water over the bed, mean. */
    public float $depth;
    /** L of pore water that would hold what soil and pores hold at the same concentration. */
    public float $holdUp;
    /** L/d per unit of stirring through the cap. */
    public float $capConductance;
    public bool $soiled;
    public float $flushAtFilling;
    /** mg N of nitrate in the bed, and what of it goes into the water at filling; L of water in the soil's pores. */
    public float $soilNitrate;
    public float $nitrateAtFilling;
    public float $pores;
    public float $flushNitrogen;
    /** mg N of tabs pressed into the bed. */
    public float $tabNitrogen;
    public float $readyNitrogen;
    public float $slowNitrogen;
    /** meq of alkalinity that the fresh bed absorbs. */
    public float $acidity;
    public float $quickCarbon;
    public float $slowCarbon;
    public float $soilPhosphorus;
    public float $soilPotassium;
    public float $soilIron;
    /** m² on which bacteria settle, leaves apart. */
    public float $wetted;
    /** mg VSS of ammonia oxidisers that a m² can bear. */
    public float $filmPerArea;
    /** The same of all surfaces on day 0, the leaves' among them. */
    public float $filmMost;
    /**
     * Share of the mature film that stands on day 0: the start's inoculum, what live soil brings, and what plants bring on their leaves.
     */
    public float $firstFilm;
    /** m² on which algae can settle. */
    public float $litSurface;
    /** meq/L and mg C/L of the water it is filled with. */
    public float $sourceAlkalinity;
    public float $sourceCarbon;
    /** meq and °dH·L that amendments give the water at once; g of calcite in the bed and, as reach, in stones. */
    public float $dosedAlkalinity;
    public float $dosedHardness;
    public float $dosedCalcium;
    /** mg S of sulphate that amendments give the water; g dry of soil. */
    public float $dosedSulphate;
    public float $soilGrams;
    public float $lime;
    /** How fast the bed's lime dissolves beside calcite. */
    public float $limeSpeed;
    public float $stoneLime;
    /** mg C of tannin a day that wood gives off at first. */
    public float $woodTannin;
    /** °dH of carbonate hardness in a meq/L. */
    public float $degreesPerMilliequivalent;
    /** m of bed above a plate, if there is one. */
    public float $bedDepth;
    /** What falls on an open tub. */
    public SourceContents $rain;
    /** Atmospheres of air at the tank's altitude. */
    public float $pressure;
    /** mg O2/L of water that is poured in. */
    public float $pouredOxygen;
    /** Whether the tank stands under the open sky, and L of rain that fall into it a day. */
    public bool $outdoors;
    public float $rainADay;
    /** Times what would dry up in the open that does, under a lid or not. */
    public float $drying;
    /** L of air shut in over the water; 0 where the vessel is open. */
    public float $headspace;
    public bool $sealed;
    /** Share of the surface that floaters may cover. */
    public float $floaterPart;
    /** Exchange of gases with the air, times that of still water. */
    public float $exchange;
    /** @var list<ClumpConstants> */
    public array $clumps;
    /** @var list<GroupConstants> */
    public array $groups;
    /** @var array<int, float> g dry per m² of a closed mat, of clumps that float, by their place in the plan's list */
    public array $mats;
    /** @var list<string> ids of clumps that float, whose leaves are under water, that do not float */
    public array $floaters;
    /** @var list<string> */
    public array $submerged;
    /** @var list<string> */
    public array $standing;
    /** @var array<string, int> */
    private array $clumpPlaces;
    /** @var array<string, int> */
    private array $groupPlaces;

    public function __construct(public Plan $plan, public Parameters $parameters)
    {
        $vessel = $plan->vessel;
        $bed = $plan->bed;
        $this->floor = $plan->floor();
        $this->surface = $plan->surface();
        $this->volume = $plan->netWater();
        $this->depth = $this->volume / 1000 / $this->surface;
        $contents = $bed->contents($vessel);
        $this->soiled = [] !== $contents;
        $this->degreesPerMilliequivalent = Unit::MilliequivalentPerLitre->convertTo(Unit::GermanDegree, 1.0);
        $this->bedDepth = $bed->meanDepth() - $bed->plate;
        $release = new Release($bed, $vessel);
        $this->flushAtFilling = $release->atFilling() * $parameters->flushFactor;
        $this->flushNitrogen = $release->flushNitrogen() * $parameters->flushFactor - $this->flushAtFilling;
        $this->nitrateAtFilling = $release->nitrateAtFilling() * $parameters->flushFactor;
        $this->soilNitrate = $release->nitrate() * $parameters->flushFactor - $this->nitrateAtFilling;
        $this->pores = $release->pores();
        $this->tabNitrogen = $this->dosed(static fn (Amendment $a): float => $a->nitrogen->value);
        $this->readyNitrogen = $release->readyNitrogen($parameters->readyShare, !$parameters->structure->allReady);
        $this->slowNitrogen = $release->slowNitrogen() - $this->readyNitrogen;
        $held = static fn (\Closure $of): float => array_sum(
            array_map(static fn (array $c): float => $c[1] * $c[0]->perLitre($of), $contents),
        );
        $this->quickCarbon = 1000 * $held(static fn (Material $m): float => $m->quickCarbon->value);
        $this->slowCarbon = 1000 * $held(static fn (Material $m): float => $m->slowCarbon->value);
        $this->soilPhosphorus =
            $held(static fn (Material $m): float => $m->phosphorus->value) +
            $this->dosed(static fn (Amendment $a): float => $a->phosphorus->value);
        $this->soilPotassium =
            $held(static fn (Material $m): float => $m->potassium->value) +
            $this->dosed(static fn (Amendment $a): float => $a->potassium->value);
        $this->soilIron =
            $held(static fn (Material $m): float => $m->iron->value) + $this->dosed(static fn (Amendment $a): float => $a->iron->value);
        $this->acidity = $held(static fn (Material $m): float => $m->acidity->value);
        $this->lime = $this->dosed(static fn (Amendment $a): float => $a->lime->value);
        $this->limeSpeed =
            $this->lime > 0 ? $this->dosed(static fn (Amendment $a): float => $a->lime->value * $a->limeSpeed->value) / $this->lime : 1.0;
        $this->dosedHardness = $this->dosed(static fn (Amendment $a): float => $a->hardness->value);
        $this->dosedCalcium = $this->dosed(static fn (Amendment $a): float => $a->hardness->value * $a->calcium->value);
        $this->dosedSulphate = $this->dosed(static fn (Amendment $a): float => $a->sulphur->value);
        $this->soilGrams = 1000 * $held(static fn (Material $m): float => 1.0);
        $this->dosedAlkalinity =
            $this->dosed(static fn (Amendment $a): float => $a->alkalinity->value) +
            array_sum(array_map(static fn (Piece $p): float => $p->alkalinity(), $plan->pieces));
        $face = $bed->cap->mix ?? ($bed->soil->mix ?? null);
        $this->stoneLime =
            Lime::STONE_REACH *
            (array_sum(array_map(static fn (Piece $p): float => $p->surface() * $p->kind->lime->value, $plan->pieces)) +
                Lime::GRAINS * $this->floor * ($face?->lime() ?? 0.0));
        $this->woodTannin = array_sum(array_map(static fn (Piece $p): float => $p->litres * $p->kind->tannin->value, $plan->pieces));
        $this->rain = SourceContents::of(
            new SourceWater(6.0, 0.3, 0.3, 0.3, calcium: 0.6, chloride: 2.0, sulphate: 0.5),
            $plan->site->temperature,
        );
        $this->pressure = $plan->site->pressure();
        $this->pouredOxygen = Oxygen::saturation($plan->site->temperature, $this->pressure);
        $this->outdoors = $plan->site->isOutdoors();
        $this->drying = $parameters->evaporation * ($plan->site->lid ? WaterKeeping::UNDER_LID : 1.0);
        $this->rainADay = $plan->site->rainADay() * $this->surface;
        $this->sealed = $plan->site->sealed;
        $this->exchange = $plan->exchange();
        $this->floaterPart = $plan->floaterPart();
        $this->headspace = $this->sealed ? max(0.0, $vessel->grossVolume() - $vessel->volumeBelow($plan->waterLine)) : 0.0;
        $this->holdUp = $release->holdUp();
        $this->capConductance = $release->conductance();
        $this->litSurface = $this->floor + $vessel->wallArea($bed->meanDepth(), $plan->waterLine);
        $leaves =
            Canopy::LEAF_AREA * array_sum(array_map(static fn (Clump $c): float => 0 === $c->day ? $c->biomass() : 0.0, $plan->clumps));
        $this->firstFilm = min(
            1.0,
            $parameters->inoculum *
                ($plan->inoculum->share() +
                    ($this->soiled ? $parameters->soilFilm : 0.0) +
                    ($parameters->leafFilm * $leaves) / $plan->wettedSurface()),
        );
        $this->wetted = $plan->wettedSurface();
        $this->filmPerArea = $parameters->surfaceRate / $parameters->ammoniaOxidiserRate;
        $this->filmMost = $this->filmPerArea * $this->wetted;
        $this->sourceAlkalinity = self::alkalinity($plan->water);
        $this->sourceCarbon = self::carbon($plan->water, $plan->site->temperature);
        $this->clumps = array_map(fn (Clump $c): ClumpConstants => new ClumpConstants($plan, $c, $parameters, $this->depth), $plan->clumps);
        $this->groups = array_map(static fn (Group $g): GroupConstants => new GroupConstants($g->kind), $plan->groups);
        $of = static fn (\Closure $which): array => array_values(
            array_map(static fn (Clump $c): string => $c->id, array_filter($plan->clumps, $which)),
        );
        $this->floaters = $of(static fn (Clump $c): bool => $c->kind->role->coversSurface());
        $this->mats = array_map(
            static fn (Clump $c): float => $c->kind->mat->value,
            array_filter($plan->clumps, static fn (Clump $c): bool => $c->kind->role->coversSurface()),
        );
        $this->submerged = $of(static fn (Clump $c): bool => !$c->hasLeavesInAir());
        $this->standing = $of(static fn (Clump $c): bool => !$c->kind->role->coversSurface());
        $this->clumpPlaces = array_flip(array_map(static fn (Clump $c): string => $c->id, $plan->clumps));
        $this->groupPlaces = array_flip(array_map(static fn (Group $g): string => $g->id, $plan->groups));
    }

    /** Place of a clump in the plan's list, by its id. */
    public function clump(string $id): int
    {
        return $this->clumpPlaces[$id] ?? throw new \OutOfBoundsException("the plan has no clump $id");
    }

    /** Place of a group in the plan's list, by its id. */
    public function group(string $id): int
    {
        return $this->groupPlaces[$id] ?? throw new \OutOfBoundsException("the plan has no group $id");
    }

    /**
     * L/d of pore water that pass the cap.
     *
     * @param float $age       days since filling
     * @param float $burrowers share (0–1) of the bed that snails and worms turn over
     */
    public function passing(float $celsius, float $age, float $burrowers): float
    {
        return $this->capConductance * Release::diffusionAgainst25($celsius) * Release::stirring($age) * (1 + self::BURROWING * $burrowers);
    }

    /** @param \Closure(Amendment): float $perGram */
    private function dosed(\Closure $perGram): float
    {
        return array_sum(array_map(static fn (Dose $d): float => $d->grams * $perGram($d->amendment), $this->plan->bed->doses));
    }

    /** meq/L of a water. */
    public static function alkalinity(SourceWater $water): float
    {
        return Unit::GermanDegree->convertTo(Unit::MilliequivalentPerLitre, $water->kh);
    }

    /** mg C/L that a water carries: from its pH and alkalinity. */
    public static function carbon(SourceWater $water, float $celsius): float
    {
        return CarbonSpeciation::at($celsius)->inorganicCarbon(Carbonate::co2($water->pH, self::alkalinity($water), $celsius), $water->pH);
    }
}
