<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Vessel;

use Olvek\Core\Nature\Vessel\GlassBox;
use PHPUnit\Framework\TestCase;

/** Worked by hand with a tape measure's numbers. */
final class GlassBoxTest extends TestCase
{
    /**
     * 62 × 42 × 41 cm outside, 1 cm glass: 60 × 40 × 40 cm inside = 96 L.
     * Glass: 62·42·41 − 60·40·40 = 106.764 − 96 = 10.764 L × 2.5 kg/L = 26.91 kg.
     */
    public function testVolumesAndMass(): void
    {
        $box = new GlassBox(0.62, 0.42, 0.41, 0.01);

        self::assertEqualsWithDelta(96.0, $box->grossVolume(), 1e-9);
        self::assertEqualsWithDelta(84.0, $box->volumeBelow(0.35), 1e-9, '60 × 40 × 35 cm');
        self::assertEqualsWithDelta(26.91, $box->mass(), 1e-9);
        self::assertEqualsWithDelta(0.24, $box->areaAt(0.2), 1e-12);
        self::assertEqualsWithDelta(0.2604, $box->footprint(), 1e-12);
        self::assertEqualsWithDelta(0.6, $box->wallArea(0.05, 0.35), 1e-12, '2 × (60 + 40) × 30 cm');
    }

    /** 2 cm in front, 5 cm behind on 60 × 40 cm: mean 3.5 cm × 2400 cm² = 8.4 L. */
    public function testAWedgeIsItsMeanDepthTimesTheFloor(): void
    {
        self::assertEqualsWithDelta(8.4, (new GlassBox(0.62, 0.42, 0.41, 0.01))->volumeUnderSlope(0.02, 0.05), 1e-9);
    }
}
