<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Light;

use Olvek\Core\Nature\Light\Shade;
use PHPUnit\Framework\TestCase;

/** Who covers whom, asked again of some: the same as asked of all, but for pairs of which neither has moved. */
final class ShadeTest extends TestCase
{
    private const PLACES = [[0.1, 0.1], [0.2, 0.15], [0.5, 0.1], [0.25, 0.12]];

    public function testWhatMovedIsAskedAnewOfAll(): void
    {
        $before = [0.004, 0.01, 0.002, 0.006];
        $known = Shade::overlaps(self::PLACES, $before);
        foreach ([0, 1, 2, 3] as $moved) {
            foreach ([0.0005, 0.03] as $area) {
                $after = [$moved => $area] + $before;
                self::assertEquals(
                    Shade::overlaps(self::PLACES, $after),
                    Shade::overlaps(self::PLACES, $after, $known, [$moved => true]),
                    "stand $moved, $area m²",
                );
            }
        }
    }

    public function testWhatDidNotMoveIsNotAskedAgain(): void
    {
        $areas = [0.004, 0.01, 0.002, 0.006];
        $known = Shade::overlaps(self::PLACES, $areas);
        $known[1][0] = 0.123;
        $again = Shade::overlaps(self::PLACES, $areas, $known, [3 => true]);
        self::assertSame(0.123, $again[1][0]);
        self::assertSame($known[3], $again[3]);
    }
}
