<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * Half saturations of fixation by CO2, each plant's own, laid between a few nodes so that the hours need compute with those only: a plant
 * between two nodes fixes as two plants would that share its leaves, within 4 % of what it would by itself.
 *
 * @internal
 */
final class CarbonNodes
{
    /** mg CO2/L. */
    public const FIRST = 0.1;
    public const SECOND = 0.3;
    public const THIRD = 0.9;
    public const FOURTH = 2.7;
    /** ln 3: each node is three times the one below. */
    private const LOG_RATIO = 1.0986122886681098;

    /**
     * @param float $half mg CO2/L of half saturation
     *
     * @return float its place (0–3): the node below it, 2 at most, and beyond that the share (0–1) that belongs to the one above
     */
    public static function place(float $half): float
    {
        if ($half <= self::FIRST) {
            return 0.0;
        }

        return $half < self::FOURTH ? log($half / self::FIRST) / self::LOG_RATIO : 3.0;
    }

    /** The node (0–2) below a place. */
    public static function below(float $place): int
    {
        return $place < 1.0 ? 0 : ($place < 2.0 ? 1 : 2);
    }
}
