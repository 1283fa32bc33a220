<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

/**
 * Limits for total ammonia nitrogen that protect aquatic life, mg TAN-N/L.
 *
 * P: US EPA (2013), Aquatic Life Ambient Water Quality Criteria for Ammonia – Freshwater, EPA 822-R-13-001.
 * They were drawn up for natural waters with mussels present; here they serve as a cautious yardstick.
 */
final class AmmoniaCriterion
{
    /** Continuous criterion: the 30-day mean that should not be passed. */
    public static function chronic(float $pH, float $celsius): float
    {
        return 0.8876
            * (0.0278 / (1 + 10 ** (7.688 - $pH)) + 1.1994 / (1 + 10 ** ($pH - 7.688)))
            * 2.126 * 10 ** (0.028 * (20 - max($celsius, 7.0)));
    }

    /** Maximum criterion, one-hour mean, for waters without salmonids (warm-water tanks). */
    public static function acute(float $pH, float $celsius): float
    {
        return 0.7249
            * (0.0114 / (1 + 10 ** (7.204 - $pH)) + 1.6181 / (1 + 10 ** ($pH - 7.204)))
            * min(51.93, 23.12 * 10 ** (0.036 * (20 - $celsius)));
    }
}
