<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Vessel;

use Olvek\Core\Nature\Vessel\Pane;
use PHPUnit\Framework\TestCase;

/** Panes against worked examples by hand: t = √(β ρ g h³ · 3.8 / 19.2 MPa), β of Roark's table 11.4. */
final class PaneTest extends TestCase
{
    /** A square of water, 50 × 50 cm: β = 0.16; √(0.16 × 9,790 × 0.125 × 3.8 / 19.2 × 10⁶) = √(3.875 × 10⁻⁵) = 6.2 mm. */
    public function testASquareOfWater(): void
    {
        self::assertEqualsWithDelta(0.006225, Pane::needed(0.5, 0.5), 1e-5);
    }

    /** 1 m long, 0.5 m of water: β = 0.32, so √2 times as thick: 8.8 mm. */
    public function testALongPaneBearsMore(): void
    {
        self::assertEqualsWithDelta(\M_SQRT2 * 0.006225, Pane::needed(1.0, 0.5), 1e-5);
        // Beyond three times its height the upright edges no longer help.
        self::assertSame(Pane::needed(1.5, 0.5), Pane::needed(4.0, 0.5));
    }

    /** 58.8 cm inside, 33 cm of water: between β(1.5) = 0.26 and β(2) = 0.32 lies 0.2938: 4.6 mm. */
    public function testBetweenTheRows(): void
    {
        self::assertEqualsWithDelta(0.00452, Pane::needed(0.588, 0.33), 5e-5);
    }

    public function testTwiceAsThickBearsFourTimes(): void
    {
        $needed = Pane::needed(0.8, 0.4);
        self::assertEqualsWithDelta(Pane::SAFETY, Pane::safety($needed, 0.8, 0.4), 1e-9);
        self::assertEqualsWithDelta(4 * Pane::SAFETY, Pane::safety(2 * $needed, 0.8, 0.4), 1e-9);
    }

    public function testWhatIsSold(): void
    {
        self::assertSame(0.005, Pane::sold(0.0046));
        self::assertSame(0.005, Pane::sold(0.005));
        self::assertSame(0.006, Pane::sold(0.0051));
        self::assertSame(0.03, Pane::sold(0.03), 'thicker than any: told as it is');
    }
}
