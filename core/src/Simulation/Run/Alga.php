<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/** The three ways in which algae live in a tank; their places in the state's lists. */
enum Alga: int
{
    /** g dry of film per m² that one sees. J. */
    public const SHOWS = 2.5;

    /** Film, dust and threads on glass, stones and leaves. */
    case Film = 0;
    /** Green water. */
    case Drift = 1;
    /** Brown dust of the first weeks, while silicate lasts. */
    case Diatom = 2;

    public function growth(Parameters $p): float
    {
        return match ($this) {
            self::Film => $p->algaeGrowth,
            self::Drift => $p->driftGrowth,
            self::Diatom => $p->diatomGrowth,
        };
    }

    public function halfLight(Parameters $p): float
    {
        return match ($this) {
            self::Film => $p->algaeHalfLight,
            self::Drift => $p->driftHalfLight,
            self::Diatom => $p->diatomHalfLight,
        };
    }

    public function mortality(Parameters $p): float
    {
        return self::Drift === $this ? $p->driftMortality : $p->algaeMortality;
    }
}
