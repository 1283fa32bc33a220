<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Estimation;

use Olvek\Core\Keeping\Estimation\Normal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NormalTest extends TestCase
{
    /** P: Abramowitz & Stegun (1964), Handbook of mathematical functions, tables 26.1 and 26.5. */
    #[DataProvider('table')]
    public function testItFollowsTheTable(float $z, float $share): void
    {
        self::assertEqualsWithDelta($share, Normal::below($z), 1e-7);
        self::assertEqualsWithDelta(1 - $share, Normal::below(-$z), 1e-7);
        // As far as the published error of the share moves it, where so few lie.
        $off = 1e-6 + 7.5e-8 * sqrt(2 * \M_PI) * exp(0.5 * $z * $z);
        self::assertEqualsWithDelta($z, Normal::at($share), $off);
        self::assertEqualsWithDelta(-$z, Normal::at(1 - $share), $off);
    }

    /** @return iterable<array{float, float}> */
    public static function table(): iterable
    {
        yield [0.0, 0.5];
        yield [1.0, 0.8413447];
        yield [1.281552, 0.9];
        yield [1.959964, 0.975];
        yield [2.0, 0.9772499];
        yield [2.575829, 0.995];
        yield [3.0, 0.9986501];
        yield [3.090232, 0.999];
    }

    public function testTheOneUndoesTheOther(): void
    {
        for ($z = -5.0; $z <= 5.0; $z += 0.05) {
            self::assertEqualsWithDelta($z, Normal::at(Normal::below($z)), 1e-8, "at $z");
        }
    }

    public function testSharesOfNothingAndOfAllEndFarOut(): void
    {
        self::assertSame(-6.0, Normal::at(0.0));
        self::assertSame(6.0, Normal::at(1.0));
        self::assertGreaterThan(5.0, Normal::at(1 - 1e-7));
        self::assertLessThan(6.0, Normal::at(1 - 1e-7));
    }
}
