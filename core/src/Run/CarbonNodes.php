<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

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
    private const RATIO = 3.0;

    /**
     * @param float $half mg CO2/L of half saturation
     *
     * @return array{int, float} the node below (0–2), and the share (0–1) that belongs to the one above it
     */
    public static function between(float $half): array
    {
        $place = log(max(self::FIRST, min(self::FOURTH, $half)) / self::FIRST) / log(self::RATIO);
        $node = min(2, (int) $place);

        return [$node, $place - $node];
    }
}
