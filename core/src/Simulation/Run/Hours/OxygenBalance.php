<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

use Olvek\Core\Nature\Water\Oxygen;
use Olvek\Core\Simulation\Run\Air;
use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\RunConstants;
use Olvek\Core\Simulation\Run\State;

/**
 * Oxygen through the hours: made by what fixes carbon and builds with nitrate, drawn by breath, rot and nitrifiers, passed by the surface,
 * bubbled off where there is far too much. Exact for a step's rates, which would otherwise smear the night's slow fall.
 *
 * @internal
 */
final class OxygenBalance
{
    /** g O2 per g N of each step of nitrification; together 4.57. P: US EPA (1993), Nitrogen Control Manual. */
    private const PER_AMMONIA = 3.43;
    private const PER_NITRITE = 1.14;
    /**
     * mg O2 per mg N that leaves set free when they build with nitrate instead of ammonium: what nitrification took, given back
     * (NO3⁻ + 2 H⁺ + H2O → NH4⁺ + 2 O2). P: stoichiometry; Redfield, Ketchum & Richards (1963), 138 O2 to 106 C and 16 N (M).
     */
    private const PER_NITRATE = self::PER_AMMONIA + self::PER_NITRITE;
    /** mg O2/L at which demand is halved. J. */
    private const HALF = 0.2;
    /**
     * Times saturation from which oxygen bubbles off, and h⁻¹ at which the excess does: 0.78 + 0.21 · 2 = 1.2 atm of gas. P: Henry's law;
     * leaves stream with bubbles then, J (0.5–4). A clip lid holds little more than an atmosphere, so that it is the air's saturation in a
     * jar too.
     */
    private const BUBBLES_FROM = 2.0;
    private const BUBBLING = 2.0;
    /** Share of the oxygen that passes in a part below which its course is a straight line: then both agree to 1e-10. J. */
    private const STILL = 1e-5;

    /** mg O2 in the water. */
    public float $oxygen = 0.0;
    private float $least = 0.0;
    private float $headOxygen = 0.0;
    /** mg O2 that air, leaves and demand brought, less what they drew. */
    private float $came = 0.0;
    private readonly bool $sealed;
    private readonly bool $shut;
    private float $saturation = 0.0;
    private float $perHead = 0.0;
    private float $out = 0.0;
    private float $litres = 1.0;
    private float $passes = 0.0;

    public function __construct(private readonly RunConstants $facts)
    {
        $this->sealed = $facts->sealed;
        $this->shut = $facts->sealed && $facts->headspace > 0;
    }

    /**
     * @param float $saturation mg/L
     * @param float $passes     L of water that pass the surface in an hour
     */
    public function begin(State $s, Day $day, float $saturation, float $litres, float $passes): void
    {
        $this->oxygen = $s->oxygen;
        $this->least = $s->oxygen;
        $this->headOxygen = $s->headOxygen;
        $this->came = 0.0;
        $this->litres = $litres;
        $this->passes = $passes;
        $this->perHead = $this->shut ? $saturation / Air::OXYGEN / $this->facts->headspace : 0.0;
        $this->saturation = $saturation;
        $this->out = $day->oxygenOut / 24;
    }

    /** mg/L. */
    public function content(): float
    {
        return $this->oxygen / $this->litres;
    }

    /**
     * @param float $hours         of the step
     * @param float $fixed         mg C fixed in it
     * @param float $takenOxidised mg N built in as nitrate or nitrite
     * @param float $first         mg N oxidised to nitrite
     * @param float $second        mg N oxidised to nitrate
     */
    public function step(float $hours, float $fixed, float $takenOxidised, float $first, float $second): void
    {
        $made = $fixed * Oxygen::PER_CARBON + $takenOxidised * self::PER_NITRATE;
        $asked = $this->out * $hours + self::PER_AMMONIA * $first + self::PER_NITRITE * $second;
        // In the dark steps are long, and what counts is how low it falls by dawn: they are gone through in halves.
        $parts = $fixed > 0.0 ? 1 : 2;
        $hours /= $parts;
        $made /= $parts;
        $asked /= $parts;
        $litres = $this->litres;
        $half = self::HALF * $litres;
        $full = $this->saturation * $litres;
        $k = ($this->passes * $hours) / $litres;
        if ($this->sealed) {
            // Shut in, a part is implicit in the head of air.
            $k = $this->shut ? $k / (1 + $this->passes * $hours * $this->perHead) : 0.0;
        }
        $held = $this->oxygen;
        for (; $parts > 0; --$parts) {
            if ($this->sealed) {
                $full = $this->perHead * $this->headOxygen * $litres;
            }
            // Demand slackens as oxygen runs out: taken along its slope at the middle of the part, which a first guess finds. Where it
            // would take all there is, it is taken in proportion to that, so that nothing turns negative.
            $guess = ($held + $made + $k * $full) / (1 + $k + $asked / ($half + $held));
            $middle = ($held + $guess) / 2;
            $slope = $asked / ($half + $middle);
            $steady = 0.0;
            if ($k + $slope < 1.0) {
                $steady = ($slope * $middle * $middle) / ($half + $middle);
                $slope *= $half / ($half + $middle);
            }
            $pull = $k + $slope;
            $source = $made + $k * $full - $steady;
            $mean = $held + ($source - $pull * $held) / 2;
            if ($pull > self::STILL) {
                $rest = $source / $pull;
                $mean = $rest + (($held - $rest) * (1 - exp(-$pull))) / $pull;
            }
            $drawn = $steady + $slope * $mean;
            $in = $k * ($full - $mean);
            $over = $held + $made + $in - $drawn - self::BUBBLES_FROM * $this->saturation * $litres;
            if ($over > 0.0 && (!$this->sealed || $this->shut)) {
                $in -= $over * (1 - exp(-self::BUBBLING * $hours));
            }
            $net = $made - $drawn + $in;
            $this->headOxygen -= $in;
            $this->came += $net;
            $held += $net;
            if ($held < $this->least) {
                $this->least = $held;
            }
        }
        $this->oxygen = $held;
    }

    /** Hands the day's sums on. Sealed in, what passed the surface stayed within: only fixing and burning count. */
    public function report(State $s, Day $day, MassBalance $books): void
    {
        $s->oxygen = $this->oxygen;
        $day->leastOxygen = $this->least / $this->litres;
        $books->oxygen += $this->came;
        if ($this->sealed) {
            $books->oxygen -= $s->headOxygen - $this->headOxygen;
            $s->headOxygen = $this->headOxygen;
        }
    }
}
