<?php

declare(strict_types=1);

namespace Olvek\Core\Water;

/** Ammonia oxidised to nitrate by bacteria on wetted surfaces: what a surface can bear, what a new tank begins with, and what acid does to them. */
final class Nitrification
{
    /** mg N per m² of surface and day, mature film, 25 °C. M: 0.2–1.0 g for trickling media; low end, still water. */
    public const SURFACE_RATE = 200.0;

    /** Share of the mature film on day 0 in a tank that was given nothing: dust, plants, hands. J (1e-5–1e-3). */
    public const BARE_START = 1e-4;

    /** Full from pH 7, none at 6, straight between. C: nitrification stalls in acid tanks. */
    public static function acidityFactor(float $pH): float
    {
        return max(0.0, min(1.0, $pH - 6.0));
    }
}
