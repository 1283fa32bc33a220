<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Water\Oxygen;

/**
 * Tannin on a day: wood gives it off, light and bacteria take it. Soil and litter give theirs where they rot.
 *
 * dT/dt = wood·e^(−k_w t) + shares of rot − k_t·T, mg C.
 *
 * @internal
 */
final readonly class TanninDay
{
    /** d⁻¹ at which wood gives off less and less. J (0.005–0.02). */
    private const WOOD_FADES = 0.01;

    public function __construct(private RunConstants $facts)
    {
    }

    public function run(State $s, Day $day, MassBalance $books, float $age): void
    {
        $wood = $this->facts->woodTannin * exp(-self::WOOD_FADES * $age);
        $s->tannin += $wood;
        $books->carbon += $wood;
        $gone = (1 - exp(-$this->facts->parameters->tanninDecay * $day->theta)) * $s->tannin;
        $s->tannin -= $gone;
        $day->carbonIn += $gone;
        $day->oxygenOut += $gone * Oxygen::PER_CARBON;
    }
}
