<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Plant\Spread;
use Olvek\Core\Planning\Plan\Plan;

/** What of a run shows in the tank on one day. */
final readonly class Snapshot
{
    /**
     * @param list<float> $clumps     g dry of each clump
     * @param list<float> $heads      of each group
     * @param float       $cover      share of the surface under floaters
     * @param float       $film       g dry of algae per m² of lit surface
     * @param float       $brown      g dry of diatoms per m² of lit surface
     * @param float       $green      mg dry/L of green water
     * @param float       $tannin     mg C/L
     * @param float       $lampHours  for which the lamp is on
     * @param float       $lampShare  of its full strength
     * @param float       $light      mol of photons per m² on the water, lamp and sun together
     */
    public function __construct(
        public int $day,
        public array $clumps,
        public array $heads,
        public float $cover,
        public float $film,
        public float $brown,
        public float $green,
        public float $tannin,
        public float $lampHours,
        public float $lampShare,
        public float $light,
    ) {
    }

    /** The tank as its plan has it, on no day of a run. */
    public static function planned(Plan $plan): self
    {
        return new self(
            0,
            array_map(static fn ($c): float => $c->biomass(), $plan->clumps),
            array_map(static fn ($g): float => (float) $g->count, $plan->groups),
            0.0,
            0.0,
            0.0,
            0.0,
            0.0,
            $plan->lamp->hours,
            1.0,
            $plan->lamp->dailyIntegral($plan->lamp->atSurface($plan->surface())),
        );
    }

    /** Mass of a clump against what was planted. */
    public function growth(Plan $plan, int $clump): float
    {
        return $this->clumps[$clump] / max(1e-9, $plan->clumps[$clump]->biomass());
    }

    /** m² that a clump covers: as it grows, it spreads as its mass to the two thirds. */
    public function spread(Plan $plan, int $clump): float
    {
        return Spread::area($plan->clumps[$clump]->area(), $this->growth($plan, $clump));
    }

    /** m that a clump stands high: as it grows, as its mass to the third, up to its grown height. */
    public function height(Plan $plan, int $clump): float
    {
        return $plan->clumps[$clump]->kind->height->value * Spread::height($this->growth($plan, $clump));
    }
}
