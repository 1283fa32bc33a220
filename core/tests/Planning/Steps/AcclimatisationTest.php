<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Steps;

use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Planning\Steps\Acclimatisation;
use PHPUnit\Framework\TestCase;

/** The more two waters differ, the longer (C); the numbers, J, by hand. */
final class AcclimatisationTest extends TestCase
{
    public function testTheSameWaterTakesTheLeast(): void
    {
        $same = Acclimatisation::by(0.0, 0.0, 0.0, AnimalShape::Fish);
        self::assertSame([15, 20], [$same->floating, $same->dripping]);
    }

    /** 5 °dH: 40 min; 1.0 of pH: 60 min, which counts. 4 °C: 15 + 3 × 3 min. */
    public function testTheGreaterDifferenceCounts(): void
    {
        self::assertSame(60, Acclimatisation::by(0.0, 5.0, -1.0, AnimalShape::Fish)->dripping);
        self::assertSame(80, Acclimatisation::by(0.0, -10.0, 1.0, AnimalShape::Fish)->dripping);
        self::assertSame(24, Acclimatisation::by(-4.0, 0.0, 0.0, AnimalShape::Fish)->floating);
    }

    public function testShrimpAndSnailsTakeTwiceAsLong(): void
    {
        self::assertSame(120, Acclimatisation::by(0.0, 5.0, 1.0, AnimalShape::Shrimp)->dripping);
        self::assertSame(2, Acclimatisation::by(0.0, 5.0, 1.0, AnimalShape::Snail)->message()->values['hours']);
    }

    public function testNobodyDripsAllNight(): void
    {
        self::assertSame(240, Acclimatisation::by(0.0, 30.0, 3.0, AnimalShape::Shrimp)->dripping);
    }
}
