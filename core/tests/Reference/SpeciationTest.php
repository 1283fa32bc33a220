<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Water\Carbonate;
use Olvek\Core\Nature\Water\CarbonResponse;
use Olvek\Core\Nature\Water\CarbonSpeciation;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * The run's search for [H⁺] against the charge balance itself, at equal carbon and alkalinity (the direction in which the run asks).
 * Carbon is made from a pH by the constants of Plummer & Busenberg (1982), so that the answer is known beforehand and no search of ours
 * is compared with itself.
 */
final class SpeciationTest extends TestCase
{
    /** mg C/L that makes a pH at an alkalinity (meq/L): from the charge balance, solved for carbon; null where none does. */
    private static function carbon(float $pH, float $alkalinity, float $celsius): ?float
    {
        $h = 10 ** -$pH;
        $k1 = 10 ** Carbonate::logK1($celsius);
        $k2 = 10 ** Carbonate::logK2($celsius);
        $kw = 10 ** Carbonate::logKw($celsius);
        $charge = $alkalinity / 1000 - $kw / $h + $h;
        $each = ($k1 * $h + 2 * $k1 * $k2) / ($h * $h + $k1 * $h + $k1 * $k2);

        return $charge < 0 ? null : ($charge / $each) * 12011.0;
    }

    #[TestWith([4.0])]
    #[TestWith([15.0])]
    #[TestWith([25.0])]
    #[TestWith([32.0])]
    public function testThePhOfAnyWaterIsFound(float $celsius): void
    {
        $speciation = CarbonSpeciation::at($celsius);
        $looked = 0;
        foreach ([-0.05, 0.0, 0.01, 0.07, 0.2, 0.36, 1.0, 2.14, 5.0, 12.0] as $alkalinity) {
            for ($pH = 4.0; $pH <= 11.5; $pH += 0.1) {
                $carbon = self::carbon($pH, $alkalinity, $celsius);
                // Where carbon would have to be more than any water holds, or there is none at all.
                if (null === $carbon || $carbon > 2000) {
                    continue;
                }
                self::assertEqualsWithDelta(
                    $pH,
                    $speciation->pH($carbon, $alkalinity),
                    1e-4,
                    "$celsius °C, $alkalinity meq/L, pH $pH from neutral",
                );
                foreach ([-3.0, -0.1, 0.1, 2.0] as $off) {
                    self::assertEqualsWithDelta(
                        $pH,
                        -log10($speciation->hydrogen($carbon, $alkalinity, 10 ** -($pH + $off))),
                        1e-4,
                        "$celsius °C, $alkalinity meq/L, pH $pH from $off away",
                    );
                }
                ++$looked;
            }
        }
        self::assertGreaterThan(400, $looked);
    }

    /** Textbook: 1 meq/L of bicarbonate in balance with CO2 of 0.6 mg/L at 25 °C has pH 8.2 (M; pK1 6.35). */
    public function testAWaterInBalanceWithAir(): void
    {
        $speciation = CarbonSpeciation::at(25.0);
        $co2 = Carbonate::co2AtEquilibrium(25.0);
        $pH = Carbonate::pH($co2, 1.0, 25.0);
        self::assertEqualsWithDelta(8.2, $pH, 0.1);
        $carbon = $speciation->inorganicCarbon($co2, $pH);
        self::assertEqualsWithDelta($pH, $speciation->pH($carbon, 1.0), 1e-4);
        self::assertEqualsWithDelta($co2, $speciation->carbonDioxide($carbon, $speciation->hydrogen($carbon, 1.0)), 1e-4);
    }

    /** The slopes are those of the search itself, felt by a small step to either side. */
    public function testTheSlopes(): void
    {
        $speciation = CarbonSpeciation::at(24.0);
        foreach ([[-0.01, 2.0], [0.2, 1.0], [0.36, 3.9], [1.0, 6.5], [1.0, 12.5], [2.0, 30.0], [5.0, 55.0]] as [$alkalinity, $carbon]) {
            // Searched twice, the second time from where the first ended: exact.
            $at = static fn (float $c): array => [
                $speciation->carbonDioxide($c, $h = $speciation->hydrogen($c, $alkalinity, $speciation->hydrogen($c, $alkalinity))),
                $h,
            ];
            $speciation->respond($carbon, $at($carbon)[1], $response = new CarbonResponse());
            [$co2, $slope, $hSlope] = [$response->carbonDioxide, $response->slope, $response->hydrogenSlope];
            self::assertEqualsWithDelta($at($carbon)[0], $co2, 1e-9 * $co2);
            $step = 3e-4 * $carbon;
            self::assertEqualsWithDelta(
                ($at($carbon + $step)[0] - $at($carbon - $step)[0]) / (2 * $step),
                $slope,
                1e-4 * abs($slope) + 1e-7,
                "$alkalinity meq/L, $carbon mg C/L",
            );
            self::assertEqualsWithDelta(
                ($at($carbon + $step)[1] - $at($carbon - $step)[1]) / (2 * $step),
                $hSlope,
                1e-4 * abs($hSlope),
                "$alkalinity meq/L, $carbon mg C/L",
            );
        }
    }

    /** Water without any carbon: the pH of a strong acid, of water, and of a strong base. */
    public function testWaterWithoutCarbon(): void
    {
        $speciation = CarbonSpeciation::at(25.0);
        self::assertEqualsWithDelta(4.0, $speciation->pH(0.0, -0.1), 1e-4);
        self::assertEqualsWithDelta(7.0, $speciation->pH(0.0, 0.0), 0.01);
        self::assertEqualsWithDelta(10.0, $speciation->pH(0.0, 0.1), 0.01);
        self::assertSame(0.0, $speciation->carbonDioxide(0.0, 1e-7));
    }
}
