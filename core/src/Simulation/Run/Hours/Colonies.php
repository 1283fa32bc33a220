<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

use Olvek\Core\Nature\Water\Nitrification;
use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\RunConstants;
use Olvek\Core\Simulation\Run\State;

/**
 * The two colonies of nitrifiers: what they could oxidise in a step, and how they grow by what they did. Their own nitrogen (2 % of what
 * passes) is not booked; a trace always settles from the air and keeps a colony possible.
 *
 * @internal
 */
final class Colonies
{
    /** Share of the mature film that is always there. J. */
    private const TRACE = 1e-6;
    /** mg O2/L. M. */
    private const HALF_OXYGEN_AMMONIA = 0.5;
    private const HALF_OXYGEN_NITRITE = 1.0;

    /** mg VSS. */
    public float $ammoniaOxidisers = 0.0;
    public float $nitriteOxidisers = 0.0;
    /**
     * Each colony's growth in the last step, a share of it: half of it is at work already in this one, since the middle of the step counts.
     */
    private float $grewA = 0.0;
    private float $grewN = 0.0;
    private float $middleA = 0.0;
    private float $middleN = 0.0;
    /** mg N that a mg VSS can oxidise in an hour, and what acid leaves of it. */
    private float $eachA = 0.0;
    private float $eachN = 0.0;
    private float $acid = 0.0;
    /** mg VSS that the surfaces bear. */
    private float $mostA = 0.0;
    private float $mostN = 0.0;
    private readonly float $yieldA;
    private readonly float $yieldN;
    private float $busyDecay = 0.0;
    private float $idleDecay = 0.0;

    public function __construct(private readonly RunConstants $facts)
    {
        $this->yieldA = $facts->parameters->ammoniaOxidiserYield;
        $this->yieldN = $facts->parameters->nitriteOxidiserYield;
    }

    public function begin(State $s, Day $day): void
    {
        $facts = $this->facts;
        $p = $facts->parameters;
        $this->ammoniaOxidisers = $s->ammoniaOxidisers;
        $this->nitriteOxidisers = $s->nitriteOxidisers;
        $this->grewA = $this->grewN = 0.0;
        $this->eachA = ($p->ammoniaOxidiserRate * $day->theta) / 24;
        $this->eachN = ($p->nitriteOxidiserRate * $day->theta) / 24;
        $this->acid = Nitrification::acidityFactor($s->pH);
        $this->mostA = $facts->filmPerArea * ($facts->wetted + $day->leafArea);
        $this->mostN = ($this->mostA * $p->ammoniaOxidiserRate) / $p->nitriteOxidiserRate;
        $decay = ($p->nitrifierDecay * $day->theta) / 24;
        $this->busyDecay = (1 - $p->nitrifierDormancy) * $decay;
        $this->idleDecay = $p->nitrifierDormancy * $decay;
    }

    /**
     * mg N that ammonia oxidisers could take in an hour.
     *
     * @param float $oxygen mg/L
     */
    public function ammoniaAppetite(float $oxygen): float
    {
        $this->middleA = $this->ammoniaOxidisers * (1 + $this->grewA / 2);

        return ($this->eachA * $this->acid * $this->middleA * $oxygen) / (self::HALF_OXYGEN_AMMONIA + $oxygen);
    }

    /**
     * mg N that nitrite oxidisers could, which free ammonia slows.
     *
     * @param float $oxygen    mg/L
     * @param float $unionised mg NH3-N/L
     */
    public function nitriteAppetite(float $oxygen, float $unionised): float
    {
        $this->middleN = $this->nitriteOxidisers * (1 + $this->grewN / 2);

        return ($this->eachN * $this->acid * $this->middleN * $oxygen) /
            (self::HALF_OXYGEN_NITRITE + $oxygen) /
            (1 + $unionised / Nitrification::HALF_INHIBITION);
    }

    /**
     * Grown by what was oxidised, the slower the fuller their surfaces; idle ones go dormant. Growth over the step is exponential (its
     * series; a step's growth is a few percent).
     *
     * @param float $first  mg N oxidised to nitrite in the step
     * @param float $second mg N oxidised on by nitrite oxidisers
     * @param float $hours  of the step
     */
    public function grow(float $first, float $second, float $hours): void
    {
        $a = $this->ammoniaOxidisers;
        $n = $this->nitriteOxidisers;
        $roomA = $a < $this->mostA ? 1 - $a / $this->mostA : 0.0;
        $roomN = $n < $this->mostN ? 1 - $n / $this->mostN : 0.0;
        $grewA = $this->grewA =
            ($this->yieldA * $first * $roomA - ($this->busyDecay * $first) / $this->eachA) / $this->middleA - $this->idleDecay * $hours;
        $grewN = $this->grewN =
            ($this->yieldN * $second * $roomN - ($this->busyDecay * $second) / $this->eachN) / $this->middleN - $this->idleDecay * $hours;
        $a *= 1 + $grewA * (1 + $grewA / 2);
        $n *= 1 + $grewN * (1 + $grewN / 2);
        $leastA = self::TRACE * $this->mostA;
        $leastN = self::TRACE * $this->mostN;
        $this->ammoniaOxidisers = $a > $leastA ? $a : $leastA;
        $this->nitriteOxidisers = $n > $leastN ? $n : $leastN;
    }

    /** Hands the day's colonies on. */
    public function report(State $s): void
    {
        $s->ammoniaOxidisers = $this->ammoniaOxidisers;
        $s->nitriteOxidisers = $this->nitriteOxidisers;
    }
}
