<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Margin;

use Olvek\Core\Margin\ClumpLight;
use Olvek\Core\Margin\Judge;
use Olvek\Core\Margin\State;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Tests\Sample;
use Olvek\Core\Unit\UnitSystem;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class JudgeTest extends TestCase
{
    public function testAWellPlantedUnderstockedTankHolds(): void
    {
        $judgement = Judge::judge(Sample::planted());

        self::assertSame(State::Good, $judgement->state);
        self::assertStringStartsWith('This should hold.', $judgement->verdict);
        self::assertMatchesRegularExpression('/\d+(\.\d+)? times/', $judgement->verdict);
    }

    /** @param array<string, string> $edits */
    #[TestWith(['uptake', ['feeding.grams' => '2']])]
    #[TestWith(['planted', ['plants.c1.pieces' => '10', 'plants.c2.pieces' => '1']])]
    #[TestWith(['cap', ['bed.soil.back' => '6 cm']])]
    #[TestWith(['light', ['light.lumens' => '200']])]
    #[TestWith(['room', ['animals.a1.count' => '60']])]
    public function testEachMarginCanFailAndSaysWhatHelps(string $margin, array $edits): void
    {
        self::assertSame(State::Good, Judge::judge(Sample::planted())->margin($margin)->state);
        $judgement = Judge::judge(Sample::edit(Sample::planted(), $edits));

        self::assertSame(State::Act, $judgement->margin($margin)->state);
        self::assertNotSame('', $judgement->margin($margin)->help);
        self::assertNotSame([], $judgement->margin($margin)->terms);
        self::assertStringStartsWith('Not yet.', $judgement->verdict);
    }

    public function testWrongWarmthOrTooSmallAGroupIsToldEvenWithRoom(): void
    {
        $cold = Judge::judge(Sample::edit(Sample::planted(), ['site.temperature' => '12 °C']));
        self::assertSame(State::Watch, $cold->margin('room')->state);
        self::assertStringContainsString('wants 17–28', str_replace("\u{00A0}", ' ', $cold->margin('room')->sentence));
        $lonely = Judge::judge(Sample::edit(Sample::planted(), ['animals.a1.count' => '2']));
        self::assertStringContainsString('6 or more', $lonely->margin('room')->sentence);
    }

    public function testSmallTanksAreNoPlaceForFish(): void
    {
        $plan = Sample::edit(Sample::planted(), ['vessel.length' => '20 cm', 'vessel.width' => '20 cm', 'vessel.height' => '25 cm', 'waterLine' => '23 cm']);
        self::assertSame(State::Act, Judge::judge($plan)->margin('room')->state);
    }

    public function testFloatersShadeWhatStandsBelow(): void
    {
        $open = ClumpLight::onDay(Sample::planted(), 28);
        $closed = ClumpLight::onDay(Sample::edit(Sample::edit(Sample::planted(), ['plants.add' => 'salvinia-natans']), ['plants.c3.pieces' => '30']), 28);

        self::assertSame(1.0, $closed->cover);
        self::assertEqualsWithDelta(0.15 * $open->clumps['c1'], $closed->clumps['c1'], 1e-9);
        self::assertGreaterThan($open->clumps['c2'], $open->clumps['c1'], 'the taller stand takes first');
        self::assertLessThan($open->bare, $open->bed);
    }

    /** 2000 lm / 70 lm per µmol/s × 0.6 over 0.588 × 0.288 m = 101.2 µmol/m²/s; × 3600 × 8 h / 10⁶ = 2.92 mol/m² a day. By hand. */
    public function testLampToLight(): void
    {
        $plan = Sample::planted();
        self::assertEqualsWithDelta(101.23, $plan->lamp->atSurface($plan->vessel->areaAt(0)), 0.01);
        self::assertEqualsWithDelta(2.915, $plan->lamp->dailyIntegral(101.23), 0.001);
    }

    public function testEmptyTanksAreJudgedToo(): void
    {
        $judgement = Judge::judge(Plan::starting('Bare', Sample::catalogue()));
        self::assertStringContainsString('without plants', $judgement->verdict);
        self::assertSame(State::Act, $judgement->state);
    }

    public function testTheSamePlanGetsTheSameJudgement(): void
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            $plan = Sample::random($seed);
            $judgement = Judge::judge($plan, UnitSystem::Us, $seed);
            self::assertEquals($judgement, Judge::judge($plan, UnitSystem::Us, $seed));
            foreach ($judgement->margins as $margin) {
                self::assertTrue(is_finite($margin->value));
                self::assertGreaterThanOrEqual(0.0, $margin->position());
                self::assertLessThanOrEqual(1.0, $margin->position());
            }
        }
    }
}
