<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Bed\Material;
use Olvek\Core\Bed\Release;
use Olvek\Core\Light\Canopy;
use Olvek\Core\Plan\Clump;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\Unit;
use Olvek\Core\Water\Nitrification;

/** What of a plan stays the same through a run, reckoned once. */
final readonly class Facts
{
    public float $floor;
    public float $surface;
    public float $volume;
    /** m of free water over the bed, mean. */
    public float $depth;
    public float $lampAtSurface;
    /** L of pore water that would hold what soil and pores hold at the same concentration. */
    public float $holdUp;
    /** L/d per unit of stirring through the cap. */
    public float $capConductance;
    public bool $soiled;
    public float $flushAtFilling;
    public float $flushNitrogen;
    public float $slowNitrogen;
    public float $quickCarbon;
    public float $slowCarbon;
    public float $soilPhosphorus;
    public float $soilPotassium;
    public float $soilIron;
    /** mg VSS of ammonia oxidisers that the surfaces can bear. */
    public float $filmMost;
    /** Share of the mature film that stands on day 0: the start's inoculum, what live soil brings, and what plants bring on their leaves. */
    public float $firstFilm;
    /** m² on which algae can settle. */
    public float $litSurface;
    /** meq/L of the source water. */
    public float $sourceAlkalinity;

    public function __construct(public Plan $plan, public Parameters $parameters)
    {
        $vessel = $plan->vessel;
        $bed = $plan->bed;
        $this->floor = $vessel->areaAt(0.0);
        $this->surface = $vessel->areaAt($plan->waterLine);
        $this->volume = $plan->netWater();
        $this->depth = $this->volume / 1000 / $this->surface;
        $this->lampAtSurface = $plan->lamp->atSurface($this->surface);
        $soil = $bed->soilVolume($vessel);
        $mix = $bed->soil?->mix;
        $this->soiled = null !== $mix && $soil > 0;
        $release = new Release($bed, $vessel, 1.0);
        $this->flushAtFilling = $release->atFilling() * $parameters->flushFactor;
        $this->flushNitrogen = $soil * ($mix?->flushNitrogenPerLitre() ?? 0.0) * $parameters->flushFactor - $this->flushAtFilling;
        $this->slowNitrogen = $soil * ($mix?->slowNitrogenPerLitre() ?? 0.0);
        $held = static fn (\Closure $of): float => null === $mix ? 0.0 : $soil * $mix->perLitre($of);
        $this->quickCarbon = 1000 * $held(static fn (Material $m): float => $m->quickCarbon->value);
        $this->slowCarbon = 1000 * $held(static fn (Material $m): float => $m->slowCarbon->value);
        $this->soilPhosphorus = $held(static fn (Material $m): float => $m->phosphorus->value);
        $this->soilPotassium = $held(static fn (Material $m): float => $m->potassium->value);
        $this->soilIron = $held(static fn (Material $m): float => $m->iron->value);
        $this->holdUp = null === $mix ? 1.0 : max(1e-9, $soil * $mix->porosity() * $mix->retardation());
        $this->capConductance = $release->conductance();
        $this->litSurface = $this->floor + $vessel->wallArea($bed->meanDepth(), $plan->waterLine);
        $leaves = Canopy::LEAF_AREA * array_sum(array_map(static fn (Clump $c): float => $c->biomass(), $plan->clumps));
        $this->firstFilm = min(1.0, $parameters->inoculum * ($plan->inoculum->share() + ($this->soiled ? $parameters->soilFilm : 0.0) + $parameters->leafFilm * $leaves / $plan->wettedSurface()));
        $this->filmMost = Nitrification::SURFACE_RATE * $plan->wettedSurface() / $parameters->ammoniaOxidiserRate;
        $this->sourceAlkalinity = Unit::GermanDegree->convertTo(Unit::MilliequivalentPerLitre, $plan->water->kh);
    }
}
