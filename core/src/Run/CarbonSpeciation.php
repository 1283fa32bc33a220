<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Water\Carbonate;

/**
 * Dissolved CO2 and pH from inorganic carbon and alkalinity at one temperature, in closed form: hydroxide and hydrogen ions are
 * left out of the balance, which between pH 5.5 and 9.5 and above 0.2 meq/L moves the pH by less than 0.01 (tested against
 * the full balance of Water\Carbonate, P Plummer & Busenberg 1982).
 *
 * @internal
 */
final readonly class CarbonSpeciation
{
    /** mg C per mol. */
    private const MOLAR = 12011.0;
    private const CO2_PER_CARBON = 44.009 / 12.011;

    private function __construct(public float $k1, public float $k2)
    {
    }

    public static function at(float $celsius): self
    {
        return new self(10 ** Carbonate::logK1($celsius), 10 ** Carbonate::logK2($celsius));
    }

    /**
     * [H⁺] in mol/L.
     *
     * @param float $carbon     mg C/L
     * @param float $alkalinity meq/L
     */
    public function hydrogen(float $carbon, float $alkalinity): float
    {
        $a = max(1e-6, $alkalinity / 1000);
        $d = $carbon / self::MOLAR;
        $b = $this->k1 * ($a - $d);
        $c = $this->k1 * $this->k2 * ($a - 2 * $d);

        return (-$b + sqrt(max(0.0, $b * $b - 4 * $a * $c))) / (2 * $a);
    }

    /** mg CO2/L. */
    public function carbonDioxide(float $carbon, float $alkalinity): float
    {
        $h = $this->hydrogen($carbon, $alkalinity);

        return self::CO2_PER_CARBON * $carbon * $h * $h / ($h * $h + $this->k1 * ($h + $this->k2) + 1e-300);
    }

    public function pH(float $carbon, float $alkalinity): float
    {
        return -log10(max(1e-14, $this->hydrogen($carbon, $alkalinity)));
    }

    /** mg C/L that goes with a CO2 content (mg/L) and an alkalinity (meq/L). */
    public function inorganicCarbon(float $co2, float $alkalinity): float
    {
        $low = 0.0;
        $high = 12.011 * 2 * $alkalinity + $co2 * 2 + 1;
        for ($i = 0; $i < 60; ++$i) {
            $middle = ($low + $high) / 2;
            if ($this->carbonDioxide($middle, $alkalinity) < $co2) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
