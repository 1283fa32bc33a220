<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Light;

use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Dawn and dusk, a second lamp, a night light. */
final class LampsTest extends TestCase
{
    /** @param array<string, string> $edits */
    private static function daily(array $edits = []): float
    {
        $plan = Sample::edit(Sample::planted(), ['light.hours' => '8', ...$edits]);

        return $plan->lamp->daily($plan->surface(), $plan->lamp->hours);
    }

    /** An hour up and an hour down leave seven of eight hours' light. */
    public function testDawnAndDusk(): void
    {
        self::assertEqualsWithDelta((7 / 8) * self::daily(), self::daily(['light.dawn' => '1']), 1e-9);
        self::assertEqualsWithDelta((4 / 8) * self::daily(), self::daily(['light.dawn' => '4']), 1e-9, 'up until noon, and down again');
    }

    /** Half as many lumens for half the time: a quarter more; by watts the same lumens, where white diodes give 95 lm each. */
    public function testASecondLamp(): void
    {
        self::assertEqualsWithDelta(1.25 * self::daily(), self::daily(['light.secondLumens' => '1000', 'light.secondHours' => '4']), 1e-9);
        self::assertEqualsWithDelta(
            self::daily(['light.secondLumens' => '950', 'light.secondHours' => '4']),
            self::daily(['light.secondWatts' => '10', 'light.secondHours' => '4']),
            1e-9,
        );
    }

    public function testTheLongerOfTheirDaysIsTheTanksDay(): void
    {
        $plan = Sample::edit(Sample::planted(), ['light.secondLumens' => '500', 'light.secondHours' => '12']);
        self::assertSame(12.0, $plan->lamp->burning($plan->lamp->hours));
        self::assertSame(8.0, Sample::planted()->lamp->burning(8.0));
    }

    public function testItsKindBringsItsOwnLight(): void
    {
        $growth = self::daily(['light.secondWatts' => '10', 'light.secondKind' => 'led-growth']);
        self::assertGreaterThan(self::daily(), $growth);
        $plan = Sample::edit(Sample::planted(), ['light.secondWatts' => '10', 'light.secondKind' => 'led-growth']);
        self::assertSame(600.0, $plan->lamp->second->flux());
    }

    public function testTheRunSeesBoth(): void
    {
        $one = Sample::planted();
        $grown = static fn (Plan $p): float => array_sum((new Runner($p))->run(60)->clumps[59]);
        $two = Sample::edit($one, ['light.secondLumens' => '1000', 'light.secondHours' => '8']);
        $dim = Sample::edit($one, ['light.dawn' => '3']);
        self::assertGreaterThan($grown($one), $grown($two));
        self::assertLessThan($grown($one), $grown($dim));
    }

    /** 70 lm on 0.169 m², 60 % of which lands: 70 / 70 × 0.6 / 0.169 = 3.5 µmol/m²/s. */
    public function testANightLight(): void
    {
        $plan = Sample::edit(Sample::planted(), ['light.night' => '70']);
        self::assertEqualsWithDelta(3.54, $plan->lamp->atNight($plan->surface()), 0.02);
    }
}
