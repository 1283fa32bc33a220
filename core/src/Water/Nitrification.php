<?php

declare(strict_types=1);

namespace Olvek\Core\Water;

/**
 * Ammonia oxidised to nitrate by bacteria on wetted surfaces: what a surface can bear, what a new tank begins with, and what acid does to
 * them.
 */
final class Nitrification
{
    /** Share of the mature film on day 0 in a tank that was given nothing: dust, plants, hands. J (1e-5–1e-3). */
    public const BARE_START = 1e-4;

    /**
     * mg NH3-N/L at which nitrite oxidisers run at half speed. M: Anthonisen, Loehr, Prakasam & Srinath (1976), J. Water Pollut. Control
     * Fed. 48: held from 0.1–1 mg/L.
     */
    public const HALF_INHIBITION = 0.5;

    /** Full from pH 7.2, none at 6. P: US EPA (1993), Nitrogen Control Manual: 1 − 0.833 (7.2 − pH). */
    public static function acidityFactor(float $pH): float
    {
        return max(0.0, min(1.0, 1 - 0.833 * (7.2 - $pH)));
    }
}
