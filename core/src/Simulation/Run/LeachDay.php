<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * What passes the cap beside ammonium on a day, before leaves and roots draw on it: the soil's own nitrate, which nothing holds, and
 * potassium, phosphorus and iron.
 *
 * Nitrate: dN/dt = −(λ + k)·N, λ what passes the cap over the pores' litres; under water the soil runs out of oxygen within a day or two,
 * and what stays is denitrified at k. Exact for the day's rates.
 *
 * @internal
 */
final readonly class LeachDay
{
    /**
     * How much of ammonium's way through the cap others go: potassium is held alike; phosphate binds and iron rusts on the way. J (0.3–2;
     * 0.002–0.05).
     */
    private const POTASSIUM_LEAK = 1.0;
    private const PHOSPHORUS_LEAK = 0.01;
    private const IRON_LEAK = 0.005;
    /** Share of a store that leaves in a day at most. J. */
    private const MOST = 0.5;

    public function __construct(private RunConstants $facts)
    {
    }

    public function run(State $s, Day $day, MassBalance $books): void
    {
        $facts = $this->facts;
        self::nitrate($s, $books, $day->passing / $facts->pores, $facts->parameters->soilDenitrification * $day->theta);
        self::minerals($s, min(self::MOST, $day->passing / $facts->holdUp));
    }

    private static function nitrate(State $s, MassBalance $books, float $leaks, float $denitrified): void
    {
        if ($s->soilNitrate <= 0.0) {
            return;
        }
        $rate = $leaks + $denitrified;
        $gone = $s->soilNitrate * (1 - exp(-$rate));
        $leaked = ($gone * $leaks) / $rate;
        $s->soilNitrate -= $gone;
        $s->nitrate += $leaked;
        $books->nitrogen -= $gone - $leaked;
        $books->salt($leaked);
    }

    private static function minerals(State $s, float $rate): void
    {
        $potassium = self::POTASSIUM_LEAK * $rate * $s->soilPotassium;
        $phosphorus = self::PHOSPHORUS_LEAK * $rate * $s->soilPhosphorus;
        $iron = self::IRON_LEAK * $rate * $s->soilIron;
        $s->soilPotassium -= $potassium;
        $s->potassium += $potassium;
        $s->soilPhosphorus -= $phosphorus;
        $s->phosphorus += $phosphorus;
        $s->soilIron -= $iron;
        $s->iron += $iron;
    }
}
