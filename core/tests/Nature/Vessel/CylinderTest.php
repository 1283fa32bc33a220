<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Vessel;

use Olvek\Core\Nature\Vessel\Cylinder;
use PHPUnit\Framework\TestCase;

/** Closed formulas by hand, and the sloped bed against the sum of thin strips. */
final class CylinderTest extends TestCase
{
    /**
     * 22 cm outside, 1 cm glass, 51 cm high: 20 cm × 50 cm inside = π · 10² · 50 = 15.708 L.
     * Glass: π · 11² · 51 − 15 707.96 = 19 386.68 − 15 707.96 = 3.6787 L × 2.5 = 9.197 kg.
     */
    public function testVolumesAndMass(): void
    {
        $vase = new Cylinder(0.22, 0.51, 0.01);

        self::assertEqualsWithDelta(15.70796, $vase->grossVolume(), 1e-5);
        self::assertEqualsWithDelta(12.56637, $vase->volumeBelow(0.4), 1e-5);
        self::assertEqualsWithDelta(9.197, $vase->mass(), 1e-3);
        self::assertEqualsWithDelta(0.0314159, $vase->areaAt(0.1), 1e-7);
        self::assertEqualsWithDelta(0.0380133, $vase->footprint(), 1e-7);
        self::assertEqualsWithDelta(0.1884956, $vase->wallArea(0.1, 0.4), 1e-7);
    }

    public function testASlopeIsTheSumOfItsStrips(): void
    {
        $vase = new Cylinder(0.22, 0.51, 0.01);
        $sum = 0.0;
        $strips = 20_000;
        for ($n = 0; $n < $strips; ++$n) {
            $y = ($n + 0.5) / $strips * 0.2;
            $chord = 2 * sqrt(0.1 ** 2 - ($y - 0.1) ** 2);
            $sum += $chord * (0.03 + (0.08 - 0.03) * $y / 0.2) * 0.2 / $strips * 1000;
        }

        self::assertEqualsWithDelta($sum, $vase->volumeUnderSlope(0.03, 0.08), 1e-5);
    }
}
