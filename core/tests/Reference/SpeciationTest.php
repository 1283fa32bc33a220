<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Run\CarbonSpeciation;
use Olvek\Core\Water\Carbonate;
use PHPUnit\Framework\TestCase;

/** The run's closed form against the full charge balance with the published constants (Plummer & Busenberg 1982). */
final class SpeciationTest extends TestCase
{
    public function testTheClosedFormAgreesWithTheFullBalance(): void
    {
        foreach ([10.0, 20.0, 28.0] as $celsius) {
            $closed = CarbonSpeciation::at($celsius);
            foreach ([0.5, 1.0, 2.0, 5.0] as $alkalinity) {
                foreach ([0.2, 0.6, 3.0, 12.0, 30.0] as $co2) {
                    $pH = Carbonate::pH($co2, $alkalinity, $celsius);
                    $carbon = $closed->inorganicCarbon($co2, $alkalinity);
                    self::assertEqualsWithDelta($co2, $closed->carbonDioxide($carbon, $alkalinity), 1e-6 * $co2);
                    self::assertEqualsWithDelta($pH, $closed->pH($carbon, $alkalinity), 0.02, "$celsius °C, $alkalinity meq/L, $co2 mg/L");
                }
            }
        }
    }
}
