<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** How a clump spreads and rises as it grows; what is drawn, mapped and run with alike. */
final class Spread
{
    /** A clump covers between these times the area that it was planted on. J. */
    private const LEAST = 0.3;
    private const MOST = 6.0;
    /** Share of its grown height at which a plant is set. J. */
    private const SET_HEIGHT = 0.5;

    /**
     * m² that a clump covers.
     *
     * @param float $planted m² as planted
     * @param float $growth  times the mass as planted
     */
    public static function area(float $planted, float $growth): float
    {
        return $growth <= 0 ? 0.0 : $planted * max(self::LEAST, min(self::MOST, $growth ** (2 / 3)));
    }

    /** Share (0–1) of its grown height that a clump has. */
    public static function height(float $growth): float
    {
        return min(1.0, self::SET_HEIGHT * $growth ** (1 / 3));
    }
}
