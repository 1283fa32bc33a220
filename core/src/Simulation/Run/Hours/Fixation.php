<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

use Olvek\Core\Simulation\Run\CarbonNodes;
use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\Parameters;

/**
 * What leaves and algae fix in a lit step. Leaves stand at four nodes of half saturation (CarbonNodes), those that use bicarbonate apart
 * from those that do not: at carbon dioxide C a node on it alone fixes x = (C − Γ)/(K + C − Γ) of its most, one with bicarbonate β + (1 −
 * β)·x. Below the compensation point Γ nothing is fixed on carbon dioxide.
 *
 * @internal
 */
final class Fixation
{
    /** mg CO2/L of half fixation of algae. M (0.05–0.4). */
    private const HALF_ALGAE = 0.15;
    /** mmol/L of bicarbonate at which those that use it do so at half speed. M: Maberly & Spence (1983), J. Ecol. 71 (0.5–3). */
    private const HALF_BICARBONATE = 1.0;

    /** mg C that the step would fix at the carbon dioxide it began with, and how that grows with it. */
    public float $pull = 0.0;
    public float $slope = 0.0;

    private float $beta = 0.0;
    // mg C an hour of full light that each node could fix: kinds on carbon dioxide alone, and those that use bicarbonate too.
    private float $free1 = 0.0;
    private float $free2 = 0.0;
    private float $free3 = 0.0;
    private float $free4 = 0.0;
    private float $both1 = 0.0;
    private float $both2 = 0.0;
    private float $both3 = 0.0;
    private float $both4 = 0.0;
    private float $bothAll = 0.0;
    private float $algae = 0.0;
    private readonly float $betaMost;
    private readonly float $compensation;
    // The same in the step.
    private float $w1 = 0.0;
    private float $w2 = 0.0;
    private float $w3 = 0.0;
    private float $w4 = 0.0;
    private float $wa = 0.0;
    private float $steady = 0.0;
    // Sums of the day, in hours of full light.
    private float $light = 0.0;
    private float $got1 = 0.0;
    private float $got2 = 0.0;
    private float $got3 = 0.0;
    private float $got4 = 0.0;
    private float $beta1 = 0.0;
    private float $beta2 = 0.0;
    private float $beta3 = 0.0;
    private float $beta4 = 0.0;
    private float $gotAlgae = 0.0;
    private float $dioxide = 0.0;

    public function __construct(Parameters $p)
    {
        $this->betaMost = $p->bicarbonateShare;
        $this->compensation = $p->carbonCompensation;
    }

    public function begin(Day $day): void
    {
        [$this->free1, $this->free2, $this->free3, $this->free4] = $day->fixFree;
        [$this->both1, $this->both2, $this->both3, $this->both4] = $day->fixBicarbonate;
        $this->bothAll = array_sum($day->fixBicarbonate);
        $this->algae = $day->fixAlgae;
        $this->light = $this->dioxide = $this->gotAlgae = 0.0;
        $this->got1 = $this->got2 = $this->got3 = $this->got4 = 0.0;
        $this->beta1 = $this->beta2 = $this->beta3 = $this->beta4 = 0.0;
    }

    /**
     * Lays out a step.
     *
     * @param float $light       hours of full light in it
     * @param float $dioxide     mg CO2/L
     * @param float $bicarbonate mmol/L
     */
    public function prepare(float $light, float $dioxide, float $bicarbonate): void
    {
        $beta = $this->beta = ($this->betaMost * $bicarbonate) / (self::HALF_BICARBONATE + $bicarbonate);
        $rest = 1 - $beta;
        $over = $dioxide > $this->compensation ? $dioxide - $this->compensation : 0.0;
        $u1 = 1 / (CarbonNodes::FIRST + $over);
        $u2 = 1 / (CarbonNodes::SECOND + $over);
        $u3 = 1 / (CarbonNodes::THIRD + $over);
        $u4 = 1 / (CarbonNodes::FOURTH + $over);
        $ua = 1 / (self::HALF_ALGAE + $dioxide);
        $w1 = $this->w1 = $light * ($this->free1 + $rest * $this->both1);
        $w2 = $this->w2 = $light * ($this->free2 + $rest * $this->both2);
        $w3 = $this->w3 = $light * ($this->free3 + $rest * $this->both3);
        $w4 = $this->w4 = $light * ($this->free4 + $rest * $this->both4);
        $wa = $this->wa = $light * $this->algae;
        $this->steady = $light * $beta * $this->bothAll;
        $this->pull = $this->steady + ($w1 * $u1 + $w2 * $u2 + $w3 * $u3 + $w4 * $u4) * $over + $wa * $ua * $dioxide;
        $this->slope =
            $w1 * CarbonNodes::FIRST * $u1 * $u1 +
            $w2 * CarbonNodes::SECOND * $u2 * $u2 +
            $w3 * CarbonNodes::THIRD * $u3 * $u3 +
            $w4 * CarbonNodes::FOURTH * $u4 * $u4 +
            $wa * self::HALF_ALGAE * $ua * $ua;
    }

    /**
     * Goes through a share of the step, and books it.
     *
     * @param float $share     of the step that prepare() laid out
     * @param float $light     hours of full light in that share
     * @param float $dioxide   mg CO2/L that counts for it
     * @param float $available mg C that may be fixed at most
     *
     * @return float mg C fixed
     */
    public function fix(float $share, float $light, float $dioxide, float $available): float
    {
        $over = $dioxide > $this->compensation ? $dioxide - $this->compensation : 0.0;
        $x1 = $over / (CarbonNodes::FIRST + $over);
        $x2 = $over / (CarbonNodes::SECOND + $over);
        $x3 = $over / (CarbonNodes::THIRD + $over);
        $x4 = $over / (CarbonNodes::FOURTH + $over);
        $xa = $dioxide / (self::HALF_ALGAE + $dioxide);
        $fixed = $share *
            ($this->w1 * $x1 + $this->w2 * $x2 + $this->w3 * $x3 + $this->w4 * $x4 + $this->steady + $this->wa * $xa);
        // Hours of it that carbon suffices for.
        $used = $light;
        if ($fixed > $available) {
            $used *= $available / $fixed;
            $fixed = $available;
        }
        $this->light += $light;
        $this->dioxide += $light * $dioxide;
        $beta = $used * $this->beta;
        $rest = $used - $beta;
        $this->got1 += $used * $x1;
        $this->got2 += $used * $x2;
        $this->got3 += $used * $x3;
        $this->got4 += $used * $x4;
        $this->beta1 += $beta + $rest * $x1;
        $this->beta2 += $beta + $rest * $x2;
        $this->beta3 += $beta + $rest * $x3;
        $this->beta4 += $beta + $rest * $x4;
        $this->gotAlgae += $used * $xa;

        return $fixed;
    }

    /** Hands the day's shares on. */
    public function report(Day $day): void
    {
        $per = $this->light > 0 ? 1 / $this->light : 0.0;
        $day->freeShare = [$per * $this->got1, $per * $this->got2, $per * $this->got3, $per * $this->got4];
        $day->bicarbonateShare = [$per * $this->beta1, $per * $this->beta2, $per * $this->beta3, $per * $this->beta4];
        $day->algaeShare = $per * $this->gotAlgae;
        $day->meanCarbonDioxide = $per * $this->dioxide;
    }
}
