<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Planning\Plan\HeatLoss;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** What a heater does, against sums by hand. */
final class HeatTest extends TestCase
{
    /** @param array<string, string> $edits */
    private static function plan(array $edits = []): Plan
    {
        return Sample::edit(Sample::planted(), ['site.temperature' => '19 °C', 'site.swing' => '3', ...$edits]);
    }

    /**
     * 60 × 30 × 36 cm of 6 mm, water to 33 cm, open. Walls 2 (0.588 + 0.288) 0.33 = 0.578 m² / (0.13 + 0.006) = 4.25 W/K; bottom
     * 0.18 / 0.47 = 0.38; surface 0.1693 (10 + 5.3) = 2.59; in all 7.2 W/K.
     */
    public function testTheSumByHand(): void
    {
        self::assertEqualsWithDelta(7.23, HeatLoss::perKelvin(self::plan()), 0.05);
        self::assertEqualsWithDelta(43.4, HeatLoss::watts(self::plan(), 25.0, 19.0), 0.3);
        self::assertSame(0.0, HeatLoss::watts(self::plan(), 18.0, 19.0));
    }

    /** C: a watt a litre lifts an open tank of some 50 L by some 6 to 8 °C. */
    public function testTheRuleOfThumb(): void
    {
        $plan = self::plan();
        $lift = $plan->netWater() / HeatLoss::perKelvin($plan);
        self::assertGreaterThan(4.0, $lift);
        self::assertLessThan(9.0, $lift);
    }

    public function testALidHalvesWhatTheSurfaceLoses(): void
    {
        // 0.1693 (5 + 0.2 × 5.3) = 1.03 instead of 2.59.
        self::assertEqualsWithDelta(5.66, HeatLoss::perKelvin(Sample::edit(self::plan(), ['site.lid' => 'yes'])), 0.05);
    }

    /** The next that is sold above four thirds of the need. */
    public function testWhatIsSold(): void
    {
        self::assertSame(75.0, HeatLoss::sold(56.2));
        self::assertSame(100.0, HeatLoss::sold(56.3));
        self::assertSame(10.0, HeatLoss::sold(0.0));
        self::assertSame(400.0, HeatLoss::sold(240.0));
    }

    public function testAHeaterHoldsItsTargetAndCoolsNothing(): void
    {
        $plan = self::plan(['equipment.heating' => 'tank', 'equipment.target' => '21 °C']);
        self::assertSame(21.0, $plan->coldest());
        $summer = max(array_map($plan->temperatureOn(...), range(0, 364)));
        self::assertEqualsWithDelta(22.0, $summer, 0.01, 'midsummer is as warm as ever');
    }

    public function testAWeakHeaterLiftsAsFarAsItsWatts(): void
    {
        $plan = self::plan(['equipment.heating' => 'tank', 'equipment.target' => '25 °C', 'equipment.watts' => '25']);
        self::assertEqualsWithDelta(16.0 + 25 / HeatLoss::perKelvin($plan), $plan->coldest(), 0.05);
    }

    public function testAHeatedRoom(): void
    {
        $plan = self::plan(['equipment.heating' => 'room', 'equipment.target' => '24 °C']);
        self::assertSame(23.0, $plan->coldest(), 'an open tank stands a degree below its room');
        self::assertSame(24.0, $plan->airOn(0));
    }
}
