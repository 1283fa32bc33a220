<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

use Olvek\Core\Basis\Unit\MolarMass;

/**
 * Oxygen that fresh water holds against air.
 *
 * P: Benson & Krause (1984), The concentration and isotopic fractionation of oxygen dissolved in freshwater and seawater,
 * Limnol. Oceanogr. 29, 620–632, in the form of USGS Office of Water Quality Technical Memorandum 2011.03.
 */
final class Oxygen
{
    /** mg O2 per mg C fixed or breathed, one mol for one. */
    public const PER_CARBON = MolarMass::OXYGEN_GAS / MolarMass::CARBON;

    /**
     * Saturation in mg/L.
     *
     * @param float $celsius     0–40 °C
     * @param float $atmospheres air pressure, standard atmospheres
     */
    public static function saturation(float $celsius, float $atmospheres = 1.0): float
    {
        $t = $celsius + 273.15;
        $atStandard = exp(-139.34411 + 1.575701e5 / $t - 6.642308e7 / $t ** 2 + 1.243800e10 / $t ** 3 - 8.621949e11 / $t ** 4);
        if (1.0 === $atmospheres) {
            return $atStandard;
        }
        $vapour = exp(11.8571 - 3840.70 / $t - 216961 / $t ** 2);
        $theta = 0.000975 - 1.426e-5 * $celsius + 6.436e-8 * $celsius ** 2;

        return $atStandard * $atmospheres * (1 - $vapour / $atmospheres) * (1 - $theta * $atmospheres) / ((1 - $vapour) * (1 - $theta));
    }
}
