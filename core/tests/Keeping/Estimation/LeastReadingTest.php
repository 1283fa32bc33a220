<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Estimation;

use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Estimation\Scale;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** The least that can be read of anything, mostly 0, is a reading like any other: no logarithm of it runs off. */
final class LeastReadingTest extends TestCase
{
    public function testEveryScaleTakesTheLeastAndTheMost(): void
    {
        foreach (Measure::cases() as $measure) {
            $scale = Scale::of($measure);
            foreach ($measure->bounds() as $value) {
                self::assertFinite($scale->from($value), $measure->value);
                self::assertEqualsWithDelta($value, $scale->base($scale->from($value)), 1e-9 * max(1.0, $value), $measure->value);
            }
        }
    }

    public function testAnEstimateStaysFinite(): void
    {
        $plan = Sample::edit(Sample::planted(), ['plants.add.salvinia-natans' => '12', 'animals.a1.day' => '5']);
        $readings = [];
        foreach (Measure::cases() as $measure) {
            $group = 'group' === $measure->measured()->of ? 'a1' : null;
            $readings[] = new Reading(20, $measure, $measure->bounds()[0], $group);
        }
        $estimate = (new Estimator($plan, new Log($readings), 24))->estimate();
        self::assertNotNull($estimate);
        foreach (Quantity::cases() as $quantity) {
            foreach ([...$estimate->on($quantity, 20), ...$estimate->on($quantity, 24)] as $value) {
                self::assertFinite($value, $quantity->value);
            }
        }
    }
}
