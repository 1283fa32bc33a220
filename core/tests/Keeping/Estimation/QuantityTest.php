<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Estimation;

use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Estimation\QuantityGroup;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Each quantity has words and a column of the run, and stands under a heading unless it is known to stand under none. */
final class QuantityTest extends TestCase
{
    public function testEachHasItsWordsAndItsColumn(): void
    {
        $columns = (new Runner(Sample::planted()))->run(2)->columns;
        foreach (Quantity::cases() as $quantity) {
            self::assertNotSame('', $quantity->label());
            self::assertArrayHasKey($quantity->value, $columns);
        }
    }

    public function testEachStandsUnderOneHeading(): void
    {
        $shown = array_merge(...array_map(static fn (QuantityGroup $group): array => $group->quantities(), QuantityGroup::cases()));
        $names = static fn (array $quantities): array => array_column($quantities, 'name');
        // Dawn and dusk stand for the pH; the others are what signs and forecasts are worked out of.
        $unshown = [Quantity::Acidity, Quantity::GreenWater, Quantity::Evaporation];
        self::assertEqualsCanonicalizing($names(Quantity::cases()), $names([...$shown, ...$unshown]));
    }

    public function testWhatIsReadByAColumnIsAQuantity(): void
    {
        foreach (Measure::cases() as $measure) {
            self::assertSame('' === $measure->measured()->column, null === Quantity::of($measure), $measure->value);
        }
    }
}
