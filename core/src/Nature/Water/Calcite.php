<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

/** Whether water of one temperature dissolves lime or lets it fall. */
final readonly class Calcite
{
    /** mol/L of calcium in a degree of hardness that is calcium alone. P: DIN 38409-6. */
    private const PER_DEGREE = 17.848e-3 / 100.087;

    private function __construct(private float $k2, private float $perProduct)
    {
    }

    public static function at(float $celsius): self
    {
        $k2 = 10 ** Carbonate::logK2($celsius);

        return new self($k2, self::PER_DEGREE / 1000 * $k2 / 10 ** Carbonate::logCalcite($celsius));
    }

    /**
     * Ω = [Ca²⁺][CO3²⁻] / K: below 1 the water dissolves calcite. Activities are taken as concentrations, as fits water this dilute;
     * alkalinity = HCO3 + 2 CO3, and CO3 = K2 HCO3 / H.
     *
     * @param float $hydrogen   mol/L
     * @param float $alkalinity meq/L
     * @param float $calcium    hardness that is calcium, °dH
     */
    public function saturation(float $hydrogen, float $alkalinity, float $calcium): float
    {
        return $alkalinity > 0.0 ? $this->perProduct * $calcium * $alkalinity / (1 + 2 * $this->k2 / $hydrogen) / $hydrogen : 0.0;
    }
}
