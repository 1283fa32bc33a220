<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Water\Calcite;
use Olvek\Core\Nature\Water\Carbonate;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CalciteTest extends TestCase
{
    /** P: Plummer & Busenberg (1982), log K of calcite −8.480 at 25 °C, −8.38 at 0 °C (M: table values). */
    #[TestWith([25.0, -8.48, 0.002])]
    #[TestWith([0.0, -8.381, 0.01])]
    public function testSolubility(float $celsius, float $log, float $delta): void
    {
        self::assertEqualsWithDelta($log, Carbonate::logCalcite($celsius), $delta);
    }

    /**
     * M: Stumm & Morgan (1996), Aquatic Chemistry: water in equilibrium with calcite and air at 25 °C has pH 8.3, 0.5 mmol/L of calcium, 1
     * meq/L of alkalinity: Ω near 1; activities, which are left out here, would bring 1.4 down to 1.0.
     */
    public function testWaterAtRestWithCalciteAndAir(): void
    {
        $hardness = (0.5 * 100.087) / 17.848;
        self::assertEqualsWithDelta(1.0, Calcite::at(25.0)->saturation(10 ** -8.3, 1.0, $hardness), 0.45);
        self::assertLessThan(0.05, Calcite::at(24.0)->saturation(10 ** -6.8, 0.4, 1.5), 'soft acid water is hungry');
        self::assertGreaterThan(5.0, Calcite::at(24.0)->saturation(10 ** -8.6, 5.0, 15.0), 'hard alkaline water is full');
    }
}
