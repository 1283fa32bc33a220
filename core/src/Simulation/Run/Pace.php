<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/** How closely a run is stepped. */
enum Pace
{
    /** Every day, and in the light every hour: what is shown and kept. */
    case Whole;
    /**
     * By two hours in the light, and days on which nothing happens and little changes are leapt over (Leap): about twice as fast, to try
     * many plans by or while a hand moves. Who shows what comes of it says so.
     */
    case Rough;
}
