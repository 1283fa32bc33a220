<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Water\Carbonate;
use PHPUnit\Framework\TestCase;

/** Plummer & Busenberg (1982), Geochim. Cosmochim. Acta 46, 1011–1040: constants at 25 °C, abstract of the paper. */
final class CarbonateTest extends TestCase
{
    public function testConstantsAt25Degrees(): void
    {
        self::assertEqualsWithDelta(-1.468, Carbonate::logHenry(25.0), 0.001);
        self::assertEqualsWithDelta(-6.352, Carbonate::logK1(25.0), 0.001);
        self::assertEqualsWithDelta(-10.329, Carbonate::logK2(25.0), 0.001);
        self::assertEqualsWithDelta(-8.480, Carbonate::logCalcite(25.0), 0.001);
    }

    /** Rain in balance with air of 350 ppm CO2 has pH 5.65 (M: Stumm & Morgan 1996, Aquatic Chemistry; 5.6–5.7). */
    public function testRainIsSlightlyAcid(): void
    {
        self::assertEqualsWithDelta(5.65, Carbonate::pH(Carbonate::co2AtEquilibrium(25.0, 350.0), 0.0, 25.0), 0.03);
    }

    public function testAcidityAndCarbonDioxideInvertEachOther(): void
    {
        foreach ([[0.4, 0.5, 10.0], [3.0, 2.0, 24.0], [20.0, 4.5, 30.0]] as [$co2, $alkalinity, $celsius]) {
            $pH = Carbonate::pH($co2, $alkalinity, $celsius);
            self::assertEqualsWithDelta($co2, Carbonate::co2($pH, $alkalinity, $celsius), 1e-6 * $co2);
        }
    }

    public function testHydroxideAloneLeavesNoCarbonDioxide(): void
    {
        self::assertSame(0.0, Carbonate::co2(12.5, 0.5, 25.0));
    }
}
