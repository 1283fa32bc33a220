<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/**
 * Factor on a kind's greatest growth by temperature, against 25 °C: nothing below and above its cardinal temperatures, most a little
 * under its warmest. P: Rosso, Lobry & Flandrois (1993), J. Theor. Biol. 162 (form); where the cardinals lie against what a kind bears, J.
 */
final readonly class Warmth
{
    /** °C from a kind's coolest and warmest at which growth ends and is best. J. */
    private const BELOW_COOLEST = 6.0;
    private const UNDER_WARMEST = 2.0;
    private const BEYOND_WARMEST = 6.0;

    private float $least;
    private float $best;
    private float $most;
    /** At 25 °C, or at its best where that is less. */
    private float $usual;

    public function __construct(PlantKind $kind)
    {
        $this->least = $kind->coolest->value - self::BELOW_COOLEST;
        $this->best = $kind->warmest->value - self::UNDER_WARMEST;
        $this->most = $kind->warmest->value + self::BEYOND_WARMEST;
        $this->usual = $this->cardinal(min(25.0, $this->best));
    }

    public function factor(float $celsius): float
    {
        return $this->cardinal($celsius) / $this->usual;
    }

    private function cardinal(float $t): float
    {
        [$least, $best, $most] = [$this->least, $this->best, $this->most];
        if ($t <= $least || $t >= $most) {
            return 0.0;
        }

        return (($t - $most) * ($t - $least) ** 2) /
            (($best - $least) * (($best - $least) * ($t - $best) - ($best - $most) * ($best + $least - 2 * $t)));
    }
}
