<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/** The air over the water at 25 °C and one atmosphere: p/RT times each gas's share. P: CODATA gas constant; 20.95 % O2; 420 ppm CO2 (M). */
final class Air
{
    /** mg O2 per L. */
    public const OXYGEN = 274.0;
    /** mg C and mg CO2 per L. */
    public const CARBON = 0.2062;
    public const CARBON_DIOXIDE = 0.7555;
    /** Shares of the pressure at first, nitrogen and vapour together as the rest. */
    public const OXYGEN_SHARE = 0.2095;
    public const CARBON_SHARE = 420e-6;
    public const REST = 1 - self::OXYGEN_SHARE - self::CARBON_SHARE;
}
