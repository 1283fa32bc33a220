<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Conversions against GNU units (fixture units.csv and the script that made it, make-units.sh). */
final class UnitsTest extends TestCase
{
    /** @return iterable<string, array{float, Unit, Unit, float}> */
    public static function conversions(): iterable
    {
        $lines = file(__DIR__.'/units.csv', \FILE_IGNORE_NEW_LINES);
        self::assertIsArray($lines);
        foreach (\array_slice($lines, 1) as $line) {
            [$value, $from, $to, $result] = explode(',', $line);
            yield "$value $from in $to" => [(float) $value, Unit::from($from), Unit::from($to), (float) $result];
        }
    }

    #[DataProvider('conversions')]
    public function testAgreesWithGnuUnits(float $value, Unit $from, Unit $to, float $result): void
    {
        self::assertEqualsWithDelta($result, $from->convertTo($to, $value), 1e-12 * abs($result));
    }

    /** Fixed points of the scales: water freezes at 32 °F and boils at 212 °F; 1 °dH = 17.848 mg/L CaCO3 = 0.3566 meq/L (DIN 38409-6). */
    public function testTemperatureAndHardness(): void
    {
        self::assertEqualsWithDelta(0.0, Unit::Fahrenheit->convertTo(Unit::Celsius, 32.0), 1e-12);
        self::assertEqualsWithDelta(100.0, Unit::Fahrenheit->convertTo(Unit::Celsius, 212.0), 1e-12);
        self::assertEqualsWithDelta(298.15, Unit::Celsius->convertTo(Unit::Kelvin, 25.0), 1e-12);
        self::assertEqualsWithDelta(17.848, Unit::GermanDegree->convertTo(Unit::MilligramPerLitreCalciumCarbonate, 1.0), 1e-12);
        self::assertEqualsWithDelta(0.3566, Unit::GermanDegree->convertTo(Unit::MilliequivalentPerLitre, 1.0), 1e-12);
    }

    /** Factors in general use in water analysis (M: Standard Methods for the Examination of Water and Wastewater). */
    public function testIonsAndElements(): void
    {
        self::assertEqualsWithDelta(4.4268, Ion::Nitrate->perElement(), 3e-4);
        self::assertEqualsWithDelta(3.2845, Ion::Nitrite->perElement(), 3e-4);
        self::assertEqualsWithDelta(1.2159, Ion::Ammonia->perElement(), 3e-4);
        self::assertEqualsWithDelta(1.2878, Ion::Ammonium->perElement(), 3e-4);
        self::assertEqualsWithDelta(3.0662, Ion::Phosphate->perElement(), 3e-4);
        self::assertEqualsWithDelta(30.0, Ion::Nitrate->fromElement(Ion::Nitrate->toElement(30.0)), 1e-12);
    }
}
