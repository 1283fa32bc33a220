<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Vessel;

use Olvek\Core\Nature\Vessel\Pane;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Panes by hand: t = √(β ρ g h³ / σ), σ 7.25 MPa for good (EN 16612: 45 × 0.29 / 1.8), β of a plate with a free upper edge, or of one held
 * all around.
 */
final class PaneTest extends TestCase
{
    /** A square of water, 50 × 50 cm: β = 0.197; √(0.197 × 9,790 × 0.125 / 7.25 × 10⁶) = √(3.325 × 10⁻⁵) = 5.77 mm. */
    public function testASquareOfWater(): void
    {
        self::assertEqualsWithDelta(0.005767, Pane::needed(0.5, 0.5), 1e-5);
    }

    /** Held all around β is 0.16: √(0.16 × 9,790 × 0.125 / (7.25 × 10⁶)) = 5.2 mm; and from 1.5 × to 4 × its height 0.26 to 0.37. */
    public function testAFramedRimBearsMore(): void
    {
        self::assertEqualsWithDelta(0.005196, Pane::needed(0.5, 0.5, true), 1e-5);
        self::assertSame(
            Pane::needed(1.5, 0.5, true),
            Pane::needed(4.0, 0.5, true),
            'beyond three times its height the sides no longer help',
        );
        self::assertGreaterThan(1.1, Pane::needed(2.0, 0.5) / Pane::needed(1.5, 0.5), 'with a free rim they are missed more and more');
    }

    /**
     * β of three held edges from the table of Roark (7th ed., table 11.4, case with the load falling to nothing at the free edge; from
     * memory): the own solution lies within 5 %.
     */
    #[TestWith([0.667, 0.124])]
    #[TestWith([1.0, 0.20])]
    #[TestWith([1.5, 0.36])]
    #[TestWith([2.0, 0.44])]
    public function testTheFreeRimAgainstRoark(float $ratio, float $beta): void
    {
        self::assertEqualsWithDelta($beta, Pane::stress(1.0, $ratio, 1.0) / 9790, 0.05 * $beta);
    }

    /** 8 mm, 120 × 45 cm of water, long sold as safe: β 0.587 × 9,790 × 0.45³ / 0.008² = 8.2 MPa. */
    public function testALongRimlessPane(): void
    {
        self::assertEqualsWithDelta(8.2e6, Pane::stress(0.008, 1.2, 0.45), 0.15e6);
        self::assertGreaterThan(0.008, Pane::needed(1.2, 0.45));
    }

    public function testTwiceAsThickBearsFourTimes(): void
    {
        $needed = Pane::needed(0.8, 0.4);
        self::assertEqualsWithDelta(7.25e6, Pane::stress($needed, 0.8, 0.4), 1.0);
        self::assertEqualsWithDelta(7.25e6 / 4, Pane::stress(2 * $needed, 0.8, 0.4), 1.0);
    }

    public function testWhatIsSold(): void
    {
        self::assertSame(0.005, Pane::sold(0.0046));
        self::assertSame(0.005, Pane::sold(0.005));
        self::assertSame(0.006, Pane::sold(0.0051));
        self::assertSame(0.03, Pane::sold(0.03), 'thicker than any: told as it is');
    }
}
