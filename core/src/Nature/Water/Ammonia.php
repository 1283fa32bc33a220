<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

/**
 * The balance between un-ionised ammonia (NH3, poisonous) and ammonium (NH4⁺, plant food) in fresh water.
 *
 * P: Emerson, Russo, Lund & Thurston (1975), Aqueous ammonia equilibrium calculations: effect of pH and temperature,
 * J. Fish. Res. Board Can. 32, 2379–2383.
 */
final class Ammonia
{
    /** The paper counts kelvin from 273.2, not 273.15; its table is met only with its own offset. */
    private const KELVIN_OFFSET = 273.2;

    /** pKa of NH4⁺ at a temperature in °C. */
    public static function pKa(float $celsius): float
    {
        return 0.09018 + 2729.92 / ($celsius + self::KELVIN_OFFSET);
    }

    /** Share (0–1) of total ammonia nitrogen that is un-ionised NH3. */
    public static function unionisedShare(float $pH, float $celsius): float
    {
        return 1 / (1 + 10 ** (self::pKa($celsius) - $pH));
    }
}
