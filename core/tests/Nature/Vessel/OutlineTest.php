<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Vessel;

use Olvek\Core\Nature\Vessel\BowFront;
use Olvek\Core\Nature\Vessel\Hexagon;
use Olvek\Core\Nature\Vessel\Outline;
use Olvek\Core\Nature\Vessel\Upright;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OutlineTest extends TestCase
{
    /** @return iterable<string, array{VesselShape}> */
    public static function shapes(): iterable
    {
        foreach (VesselShape::cases() as $shape) {
            yield $shape->value => [$shape];
        }
    }

    /** Every shape has an outline as long and as wide as itself, and one with straight walls as large as its sections. */
    #[DataProvider('shapes')]
    public function testItIsTheVesselsOwn(VesselShape $shape): void
    {
        $vessel = $shape->make($shape->sizedLike(Sample::planted()->vessel));
        $outline = $vessel->outline();
        self::assertEqualsWithDelta(
            [0.0, $vessel->length(), 0.0, $vessel->width()],
            [
                min(array_column($outline->points, 0)),
                max(array_column($outline->points, 0)),
                min(array_column($outline->points, 1)),
                max(array_column($outline->points, 1)),
            ],
            2e-3,
        );
        self::assertTrue($outline->contains($vessel->length() / 2, $vessel->width() / 2));
        self::assertFalse($outline->contains(-0.001, $vessel->width() / 2));
        if ($vessel instanceof Upright) {
            self::assertEqualsWithDelta(1.0, $outline->area() / $vessel->areaAt(0.0), 2e-3);
        }
    }

    public function testCornersAreCutOff(): void
    {
        $hexagon = new Hexagon(0.3, 0.4, 0.006);
        self::assertFalse($hexagon->outline()->contains(0.01, 0.01));
        self::assertTrue($hexagon->outline()->contains(0.01, $hexagon->width() / 2));
        self::assertFalse((new BowFront(0.75, 0.3, 0.08, 0.4, 0.008))->outline()->contains(0.01, 0.02), 'beside the bow');
        self::assertTrue(Outline::rectangle(0.6, 0.3)->contains(0.001, 0.001));
    }

    /** In a circle of 40 cm, what stands 5 cm from two walls (21.2 cm from the middle) is 1.2 cm out, and comes in by as much. */
    public function testThePlaceNearestIsOnTheWayToTheMiddle(): void
    {
        $circle = Outline::ellipse(0.4, 0.4);
        self::assertSame([0.1, 0.1], $circle->nearest(0.1, 0.1), 'what is inside stays');
        [$x, $z] = $circle->nearest(0.05, 0.05);
        self::assertEqualsWithDelta([0.0586, 0.0586], [$x, $z], 3e-4);
        self::assertTrue($circle->contains($x, $z));
        self::assertFalse($circle->contains($x - 1e-3, $z - 1e-3));
    }

    /** A hexagon by hand, 26 cm inside: 26² √3/2 = 585.43 cm², corner to corner 30.02 cm, around 6 × 15.01 = 90.07 cm. */
    public function testAHexagonByHand(): void
    {
        $hexagon = new Hexagon(0.28, 0.41, 0.01);
        self::assertEqualsWithDelta(0.058543, $hexagon->areaAt(0.1), 1e-6);
        self::assertEqualsWithDelta(0.30022, $hexagon->length(), 1e-5);
        self::assertEqualsWithDelta(23.417, $hexagon->grossVolume(), 1e-3);
        self::assertEqualsWithDelta(0.090067, $hexagon->wallArea(0.1, 0.2), 1e-6);
        self::assertEqualsWithDelta([0.075056, 0.225167], $hexagon->outline()->edges(false), 1e-5);
        self::assertEqualsWithDelta([0.13], $hexagon->outline()->edges(true), 1e-9);
        self::assertSame([], Outline::ellipse(0.3, 0.3)->edges(false), 'what is round has no edges');
    }
}
