<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Plant;

use Olvek\Core\Nature\Plant\Warmth;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Every kind grows as usual at 25 °C, or at its best where that is cooler, and not at all beyond its cardinal temperatures. */
final class WarmthTest extends TestCase
{
    public function testBothSidesOfTheCardinalTemperatures(): void
    {
        foreach (Sample::catalogue()->plants as $kind) {
            $warmth = new Warmth($kind);
            [$least, $most] = [$kind->coolest->value - 6, $kind->warmest->value + 6];
            self::assertSame(0.0, $warmth->factor($least), $kind->common);
            self::assertGreaterThan(0.0, $warmth->factor($least + 0.01), $kind->common);
            self::assertGreaterThan(0.0, $warmth->factor($most - 0.01), $kind->common);
            self::assertSame(0.0, $warmth->factor($most), $kind->common);
            self::assertEqualsWithDelta(1.0, $warmth->factor(min(25.0, $kind->warmest->value - 2)), 1e-12, $kind->common);
        }
    }

    public function testNothingGrowsFasterThanAtItsBest(): void
    {
        foreach (Sample::catalogue()->plants as $kind) {
            $warmth = new Warmth($kind);
            $best = $warmth->factor($kind->warmest->value - 2);
            for ($celsius = 0.0; $celsius < 45; $celsius += 0.5) {
                self::assertLessThanOrEqual($best + 1e-12, $warmth->factor($celsius), "$kind->common at $celsius °C");
            }
        }
    }
}
