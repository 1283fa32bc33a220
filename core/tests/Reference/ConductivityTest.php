<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Water\Conductivity;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Equivalent conductivities of single salts at 25 °C.
 * M: CRC Handbook of Chemistry and Physics, "Equivalent conductivity of electrolytes in aqueous solution", S cm²/eq.
 */
final class ConductivityTest extends TestCase
{
    /** @return iterable<string, array{array<string, float>, float, float}> mmol/L by ion, equivalents in mmol/L, S cm²/eq */
    public static function salts(): iterable
    {
        yield 'KCl 0.001' => [['potassium' => 1.0, 'chloride' => 1.0], 1.0, 146.9];
        yield 'KCl 0.01' => [['potassium' => 10.0, 'chloride' => 10.0], 10.0, 141.2];
        yield 'NaCl 0.005' => [['sodium' => 5.0, 'chloride' => 5.0], 5.0, 120.6];
        yield 'NaHCO3 0.005' => [['sodium' => 5.0, 'bicarbonate' => 5.0], 5.0, 90.5];
        yield 'CaCl2 0.001' => [['calcium' => 0.5, 'chloride' => 1.0], 1.0, 130.3];
        yield 'CaCl2 0.01' => [['calcium' => 5.0, 'chloride' => 10.0], 10.0, 120.3];
        yield 'MgCl2 0.005' => [['magnesium' => 2.5, 'chloride' => 5.0], 5.0, 118.3];
    }

    /** @param array<string, float> $ions */
    #[DataProvider('salts')]
    public function testASingleSaltConductsAsItsTableSays(array $ions, float $equivalents, float $published): void
    {
        $all = ['calcium', 'magnesium', 'sodium', 'potassium', 'bicarbonate', 'chloride', 'sulphate', 'nitrate'];
        $computed = Conductivity::of(...array_map(static fn (string $ion): float => $ions[$ion] ?? 0.0, $all)) / $equivalents;
        self::assertEqualsWithDelta($published, $computed, 0.02 * $published);
    }

    /** Water that stands over gypsum: 15.2 mmol/L of CaSO4, 2.2 mS/cm. M: US Salinity Laboratory (1954), Agriculture Handbook 60. */
    public function testCalciumAndSulphateCarryLessInPairs(): void
    {
        $gypsum = static fn (float $mmol): float => Conductivity::of($mmol, 0, 0, 0, 0, 0, $mmol, 0);
        self::assertEqualsWithDelta(2200, $gypsum(15.2), 0.05 * 2200);
        // Without pairs it would be 1,135.
        self::assertLessThan(920, $gypsum(5.0));
        self::assertGreaterThan(800, $gypsum(5.0));
    }

    public function testATapWaterOfNineDegreesConductsAsKeepersSeeIt(): void
    {
        // C: 30 to 40 µS/cm a degree of general hardness in ordinary tap water.
        $trace = (new Runner(Sample::planted()))->run(2);
        $perDegree = $trace->columns['conductivity'][0] / $trace->columns['generalHardness'][0];
        self::assertGreaterThan(30, $perDegree);
        self::assertLessThan(45, $perDegree);
    }
}
