<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

use Olvek\Core\Basis\Unit\MolarMass;

/** How much ammonium chloride brings a tank to so much ammonia. */
final class Ammonium
{
    /** mL in a drop of a usual dropper. C: 20 drops to the millilitre. */
    public const DROP = 0.05;

    /** g of the salt that raise a water by so many mg N/L. */
    public static function grams(float $milligramsPerLitre, float $litres): float
    {
        return $milligramsPerLitre * $litres / 1000 * MolarMass::AMMONIUM_CHLORIDE / MolarMass::NITROGEN;
    }

    /**
     * mL of a solution of the salt that do the same.
     *
     * @param float $strength g of the salt per L of solution
     *
     * @throws \InvalidArgumentException when the solution holds nothing
     */
    public static function millilitres(float $milligramsPerLitre, float $litres, float $strength): float
    {
        if ($strength <= 0) {
            throw new \InvalidArgumentException('a solution must hold something');
        }

        return 1000 * self::grams($milligramsPerLitre, $litres) / $strength;
    }
}
