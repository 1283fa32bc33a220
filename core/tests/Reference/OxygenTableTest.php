<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Water\Oxygen;
use PHPUnit\Framework\TestCase;

/**
 * Oxygen saturation of fresh water at 760 mmHg, every degree from 0 to 40 °C: USGS Office of Water Quality Technical
 * Memorandum 2011.03, table from Benson & Krause (1984). Figures from memory (M) of that table.
 */
final class OxygenTableTest extends TestCase
{
    private const TABLE = [
        14.62,
        14.22,
        13.83,
        13.46,
        13.11,
        12.77,
        12.45,
        12.14,
        11.84,
        11.56,
        11.29,
        11.03,
        10.78,
        10.54,
        10.31,
        10.08,
        9.87,
        9.67,
        9.47,
        9.28,
        9.09,
        8.92,
        8.74,
        8.58,
        8.42,
        8.26,
        8.11,
        7.97,
        7.83,
        7.69,
        7.56,
        7.43,
        7.31,
        7.18,
        7.07,
        6.95,
        6.84,
        6.73,
        6.62,
        6.52,
        6.41,
    ];

    public function testEveryDegreeIsWithinTwoHundredths(): void
    {
        foreach (self::TABLE as $celsius => $published) {
            self::assertEqualsWithDelta($published, Oxygen::saturation((float) $celsius), 0.02, "$celsius °C");
        }
    }

    /** At constant temperature saturation falls nearly in step with pressure; 0.9 atm at 20 °C: 8.16 mg/L (same memorandum, M). */
    public function testPressureLowersIt(): void
    {
        self::assertEqualsWithDelta(8.16, Oxygen::saturation(20.0, 0.9), 0.02);
        self::assertEqualsWithDelta(Oxygen::saturation(20.0), Oxygen::saturation(20.0, 1.0 - 1e-12), 1e-9);
    }
}
