<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/**
 * g/mol. P: Prohaska and others (2022), Standard atomic weights of the elements 2021 (IUPAC Technical Report), abridged values; compounds
 * are their sums.
 */
final class MolarMass
{
    public const HYDROGEN = 1.008;
    public const CARBON = 12.011;
    public const NITROGEN = 14.007;
    public const OXYGEN = 15.999;
    public const SODIUM = 22.990;
    public const PHOSPHORUS = 30.974;
    public const SULPHUR = 32.06;
    public const CHLORIDE = 35.45;
    public const POTASSIUM = 39.098;
    public const OXYGEN_GAS = 31.998;
    public const CARBON_DIOXIDE = 44.009;
    public const AMMONIUM_CHLORIDE = 53.489;
    public const POTASSIUM_NITRATE = 101.10;
    public const POTASSIUM_DIHYDROGEN_PHOSPHATE = 136.09;
    public const POTASSIUM_SULPHATE = 174.26;
    /** mg of CaCO3 a litre in a degree of German hardness. P: DIN 38409-6:1986. */
    public const CARBONATE_PER_DEGREE = 17.848;
}
