<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/**
 * The ions that test kits report, and the element that the computation counts.
 */
enum Ion: string
{
    case Ammonia = 'NH3';
    case Ammonium = 'NH4';
    case Nitrite = 'NO2';
    case Nitrate = 'NO3';
    case Phosphate = 'PO4';
    case Sulphate = 'SO4';

    private const H = MolarMass::HYDROGEN;
    private const N = MolarMass::NITROGEN;
    private const O = MolarMass::OXYGEN;
    private const P = MolarMass::PHOSPHORUS;
    private const S = MolarMass::SULPHUR;

    /** Milligrams of the ion that hold one milligram of its element (N, P or S). */
    public function perElement(): float
    {
        return match ($this) {
            self::Ammonia => (self::N + 3 * self::H) / self::N,
            self::Ammonium => (self::N + 4 * self::H) / self::N,
            self::Nitrite => (self::N + 2 * self::O) / self::N,
            self::Nitrate => (self::N + 3 * self::O) / self::N,
            self::Phosphate => (self::P + 4 * self::O) / self::P,
            self::Sulphate => (self::S + 4 * self::O) / self::S,
        };
    }

    /** mg/L of the ion from mg/L of the element. */
    public function fromElement(float $milligramsPerLitre): float
    {
        return $milligramsPerLitre * $this->perElement();
    }

    /** mg/L of the element from mg/L of the ion. */
    public function toElement(float $milligramsPerLitre): float
    {
        return $milligramsPerLitre / $this->perElement();
    }
}
