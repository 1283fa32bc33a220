<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Sign;

use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Sign\Reader;
use Olvek\Core\Judgement\Sign\RoughPlants;
use Olvek\Core\Judgement\Sign\RoughStock;
use Olvek\Core\Judgement\Sign\RoughTank;
use Olvek\Core\Judgement\Sign\Seen;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** A tank without a plan, told by five things. */
final class RoughTankTest extends TestCase
{
    public function testAnyAnswersMakeAPlan(): void
    {
        foreach ([RoughTank::LITRES[0], 60.0, RoughTank::LITRES[1]] as $litres) {
            foreach (RoughPlants::cases() as $plants) {
                foreach (RoughStock::cases() as $stock) {
                    $tank = new RoughTank($litres, 8, 9.0, true, $plants, $stock);
                    $plan = $tank->plan(Sample::catalogue());
                    self::assertEqualsWithDelta($litres, $plan->netWater(), 0.2 * $litres);
                    self::assertSame(RoughStock::Nobody === $stock, [] === $plan->groups);
                    self::assertSame($plants->floats(), [] !== array_filter($plan->clumps, static fn ($c): bool => $c->floats()));
                }
            }
        }
    }

    public function testItsAnswersMoveTheCause(): void
    {
        $first = static fn (RoughTank $tank, Sign $sign): ?string => (new Reader(Knowledge::shipped()))
            ->read($tank->case(Sample::catalogue(), [new Seen($sign)], []))
            ->first()?->cause->id;
        self::assertSame('lean-water', $first(new RoughTank(60, 2, 8, false, RoughPlants::Half, RoughStock::Nobody), Sign::PaleTips));
        $starved = new RoughTank(60, 60, 8, false, RoughPlants::Full, RoughStock::Nobody);
        self::assertSame('nitrogen-short', $first($starved, Sign::YellowOldLeaves));
        $overfed = new RoughTank(60, 20, 8, false, RoughPlants::Half, RoughStock::Overfed);
        self::assertSame('too-much-food', $first($overfed, Sign::ManySnails));
        self::assertSame('sun-green', $first(new RoughTank(60, 20, 8, true, RoughPlants::Half, RoughStock::Few), Sign::GreenWater));
        self::assertSame('light-ahead', $first(new RoughTank(60, 20, 13, false, RoughPlants::Half, RoughStock::Few), Sign::GreenDust));
        self::assertSame('new-diatoms', $first(new RoughTank(60, 3, 8, false, RoughPlants::Half, RoughStock::Nobody), Sign::BrownDust));
    }

    /** Its run is believed least, what is told much. */
    public function testTheRunOfAGuessIsBelievedLeast(): void
    {
        $case = (new RoughTank(60, 20, 8, false, RoughPlants::Half, RoughStock::Few))->case(Sample::catalogue(), [], []);
        self::assertSame(Source::Guess, $case->byRun());
        self::assertSame(Source::Told, $case->byPlan());
    }
}
