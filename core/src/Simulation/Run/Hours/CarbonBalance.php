<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

use Olvek\Core\Nature\Water\Carbonate;
use Olvek\Core\Nature\Water\CarbonResponse;
use Olvek\Core\Nature\Water\CarbonSpeciation;
use Olvek\Core\Simulation\Run\Air;
use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\RunConstants;
use Olvek\Core\Simulation\Run\State;

/**
 * Carbon, alkalinity and pH through the hours: breath and rot bring carbon, leaves and algae fix it (Fixation), the surface lets it pass
 * both ways, a bottle may feed it, lime takes and gives it (Lime). pH is the whole charge balance of what is there (CarbonSpeciation).
 *
 * A step is linearly implicit in the change of carbon dioxide (Theta); the fluxes that move it are the ones that are booked. Where a step
 * would turn the pH by more than MOST_TURN, as in the first light of a full or shut-in tank, it is cut into parts.
 *
 * @internal
 */
final class CarbonBalance
{
    /** h⁻¹ at which gas is let in towards what is held. J (0.5–4). */
    private const VALVE = 2.0;
    /** ln [H⁺] that a step may turn at once, and parts that it is cut into at most. J: half of it moves no column by 1 %. */
    private const MOST_TURN = 0.35;
    private const MOST_PARTS = 8;
    /** Shares of the dissolved carbon that leaves and the surface may draw in a part. J: guards, which parts keep from being reached. */
    private const DRAWN_AT_MOST = 0.9;
    private const LOST_AT_MOST = 0.09;

    /** mg C dissolved, meq, mol/L of [H⁺]. */
    public float $carbon = 0.0;
    public float $alkalinity = 0.0;
    public float $hydrogen = 1e-7;
    /** mg C fixed in the last step, and mg CO2/L in the midst of its last part. */
    public float $fixed = 0.0;
    public float $carbonDioxide = 0.0;

    /** mg C that came in from the air and from a bottle through the day. */
    private float $gas = 0.0;
    private float $bottle = 0.0;
    private float $headCarbon = 0.0;
    private float $mostDioxide = 0.0;
    private float $sumHydrogen = 0.0;
    private float $leastHydrogen = \INF;
    private float $mostHydrogen = 0.0;

    private CarbonSpeciation $speciation;
    private readonly CarbonResponse $response;
    private readonly Fixation $fixation;
    private float $in = 0.0;
    private float $litres = 1.0;
    /** mg C that pass the surface in an hour per mg CO2/L of difference. */
    private float $exchange = 0.0;
    private float $air = 0.0;
    private readonly bool $sealed;
    /** Sealed, with air above the water. */
    private readonly bool $shut;
    private float $perHead = 0.0;
    /** mg CO2/L that a bottle holds by day. */
    private readonly float $held;
    private float $valve = 0.0;

    public function __construct(private readonly RunConstants $facts, private readonly Lime $lime)
    {
        $this->speciation = CarbonSpeciation::at(25.0);
        $this->response = new CarbonResponse();
        $this->fixation = new Fixation($facts->parameters);
        $this->sealed = $facts->sealed;
        $this->shut = $facts->sealed && $facts->headspace > 0;
        $this->held = $facts->plan->care->gas;
    }

    /**
     * @param float $passes L of water that pass the surface in an hour, as oxygen does
     * @param float $helped times that carbon dioxide does better
     */
    public function begin(State $s, Day $day, CarbonSpeciation $speciation, float $litres, float $passes, float $helped): void
    {
        $facts = $this->facts;
        $this->carbon = $s->carbon;
        $this->alkalinity = $s->alkalinity;
        $this->hydrogen = 10 ** -$s->pH;
        $this->headCarbon = $s->headCarbon;
        $this->gas = $this->bottle = $this->mostDioxide = $this->sumHydrogen = $this->mostHydrogen = $this->carbonDioxide = 0.0;
        $this->leastHydrogen = \INF;
        $this->speciation = $speciation;
        $this->fixation->begin($day);
        $this->in = $day->carbonIn / 24;
        $this->litres = $litres;
        $this->air = Carbonate::co2AtEquilibrium($day->celsius, $facts->plan->site->airCarbonDioxide()) * $facts->pressure;
        // Shut in, the gas passes to and from a head of air that holds only so much: the step is implicit in it.
        $this->perHead = $this->shut ? $this->air / Air::CARBON_DIOXIDE / $facts->headspace : 0.0;
        $this->exchange = $facts->sealed && !$this->shut ? 0.0 : ($passes * $helped) / CarbonSpeciation::CO2_PER_CARBON;
        $this->valve = (self::VALVE * $litres) / CarbonSpeciation::CO2_PER_CARBON;
    }

    /**
     * @param float $hours  of the step
     * @param float $lit    share (0–1) of it that is lit
     * @param float $charge meq of alkalinity that nitrogen moved
     */
    public function step(float $hours, float $lit, float $charge): void
    {
        $this->alkalinity += $charge;
        $this->fixed = 0.0;
        $share = $this->part($hours, $lit, 1.0);
        if ($share < 1.0) {
            for ($parts = (int) round(1 / $share); $parts > 1; --$parts) {
                $this->part($hours, $lit, $share);
            }
        }
    }

    /**
     * Goes through a part of the step.
     *
     * @param float $hours of the whole step
     * @param float $lit   share (0–1) of it that is lit
     * @param float $share of the step that is gone through; 1 for as much of it as may be done at once
     *
     * @return float the share that was done
     */
    private function part(float $hours, float $lit, float $share): float
    {
        $litres = $this->litres;
        $carbon = $this->carbon;
        $h = $this->speciation->hydrogen($carbon / $litres, $this->alkalinity / $litres, $this->hydrogen);
        $response = $this->response;
        $this->speciation->respond($carbon / $litres, $h, $response);
        $co2 = $response->carbonDioxide;
        $hSlope = $response->hydrogenSlope / $litres;
        $in = $this->in * $hours;
        $exchange = $this->exchange * $hours;
        $air = $this->air;
        if ($this->shut) {
            $exchange /= 1 + CarbonSpeciation::CO2_PER_CARBON * $exchange * $this->perHead;
            $air = $this->perHead * CarbonSpeciation::CO2_PER_CARBON * $this->headCarbon;
        }
        $stiff = $exchange;
        $push = $in - $exchange * ($co2 - $air);
        $valve = 0.0;
        if ($lit > 0.0) {
            $this->fixation->prepare($lit * $hours, $co2, $response->bicarbonate);
            $valve = $co2 < $this->held ? $this->valve * $hours : 0.0;
            $stiff += $this->fixation->slope + $valve;
            $push += $valve * ($this->held - $co2) - $this->fixation->pull;
        }
        $slope = $response->slope / $litres;
        $stiff *= $slope;
        if (1.0 === $share) {
            $turn = ($hSlope * abs($push)) / (1 + $stiff / 2) / $h;
            $share = $turn > self::MOST_TURN ? 1 / min(self::MOST_PARTS, ceil($turn / self::MOST_TURN)) : 1.0;
        }
        $stiff *= $share;
        $theta = Theta::of($stiff);
        // CO2 at the moment that counts for the part.
        $then = $co2 + ($theta * $slope * $share * $push) / (1 + $theta * $stiff);
        if ($then < 0.0) {
            $then = 0.0;
        }
        $this->carbonDioxide = $then;
        $moved = $share * $in;
        if ($lit > 0.0) {
            $fixed = $this->fixation->fix($share, $share * $lit * $hours, $then, self::DRAWN_AT_MOST * $carbon + $moved);
            $this->fixed += $fixed;
            $moved -= $fixed;
            if ($valve > 0.0 && $then < $this->held) {
                $bottle = $share * $valve * ($this->held - $then);
                $this->bottle += $bottle;
                $moved += $bottle;
            }
        }
        $gas = $share * $exchange * ($air - $then);
        if ($gas < -self::LOST_AT_MOST * $carbon) {
            $gas = -self::LOST_AT_MOST * $carbon;
        }
        $this->gas += $gas;
        $moved += $gas;
        if ($this->shut) {
            $this->headCarbon -= $gas;
        }
        $carbon += $moved;
        // [H⁺] at the end of the part, along its slope; the next begins its search there.
        $end = $h + $hSlope * $moved;
        $end = $end < $h / 2 ? $h / 2 : ($end > 2 * $h ? 2 * $h : $end);
        $this->hydrogen = $end;
        $grams = $this->lime->step($share * $hours, ($h + $end) / 2, $this->alkalinity, $carbon);
        if (0.0 !== $grams) {
            $carbon += $grams * Lime::CARBON_PER_GRAM;
            $this->alkalinity += $grams * Lime::ALKALINITY_PER_GRAM;
        }
        $this->carbon = $carbon;
        $this->sumHydrogen += ($share * $hours * ($h + $end)) / 2;
        if ($co2 > $this->mostDioxide) {
            $this->mostDioxide = $co2;
        }
        if ($h < $this->leastHydrogen) {
            $this->leastHydrogen = $h;
        }
        if ($h > $this->mostHydrogen) {
            $this->mostHydrogen = $h;
        }

        return $share;
    }

    /** Hands the day's sums on. */
    public function report(State $s, Day $day, MassBalance $books): void
    {
        $s->carbon = $this->carbon;
        $s->alkalinity = $this->alkalinity;
        $s->headCarbon = $this->headCarbon;
        $s->pH = -log10($this->sumHydrogen / 24);
        // Sealed in, what passed the surface stayed within.
        $books->carbon += $this->bottle + ($this->sealed ? 0.0 : $this->gas);
        $this->fixation->report($day);
        $day->leastPH = -log10($this->mostHydrogen);
        $day->mostPH = -log10($this->leastHydrogen);
        $day->mostCarbonDioxide = $this->mostDioxide;
    }
}
