<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

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

    /**
     * What a film that has got used to acid still does. P for that it works: Tarre & Green (2004), Appl. Environ. Microbiol. 70, 6481–6487,
     * films at pH 4.3 to 5 nearly as fast as at 7; C: tanks at pH 6 read no ammonia. How much of it in a young film, J (0.1–0.6).
     */
    private const IN_ACID = 0.3;

    /** pH at which even that film stops, and span over it in which it slows: Tarre & Green (2004) ran theirs at 4.3; J below that. */
    private const STOPS_AT = 4.0;
    private const STOPS_WITHIN = 0.3;

    /**
     * Full from pH 7.2, falling towards 6. P: US EPA (1993), Nitrogen Control Manual: 1 − 0.833 (7.2 − pH), for sludge that drifts. What
     * has got used to acid goes on at its share down to pH 4.3 and has stopped at 4, so that no water turns to vinegar by it.
     */
    public static function acidityFactor(float $pH): float
    {
        $used = self::IN_ACID * max(0.0, min(1.0, ($pH - self::STOPS_AT) / self::STOPS_WITHIN));

        return max($used, min(1.0, 1 - 0.833 * (7.2 - $pH)));
    }
}
