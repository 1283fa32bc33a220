<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Solve;

use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Solve\Compose\Score;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** What a composed plan is preferred for. */
final class ScoreTest extends TestCase
{
    private static function withOxygen(float $times): Score
    {
        $plan = Sample::planted();
        $now = Judge::judge($plan, days: 60);
        $need = DawnOxygen::need($plan->stock());
        $margins = array_map(static fn (Margin $m): Margin => MarginId::Oxygen === $m->id
            ? Margin::atLeast(MarginId::Oxygen, $times * $need, 'mg/L', 0.8 * $need, 1.2 * $need, 40, '', [])
            : $m, $now->margins);

        $judgement = new Judgement($now->state, $now->verdict, $margins, $now->trace, $now->quantities, $now->harms, $now->ahead);

        return Score::of($plan, $judgement);
    }

    /** Dawns are sure from 1.6 times the need on; below that a plan scores worse the less oxygen is left. */
    public function testDawnsAreSureFromSoMuchOxygenOn(): void
    {
        self::assertTrue(self::withOxygen(DawnOxygen::SURE + 0.01)->airy);
        self::assertFalse(self::withOxygen(DawnOxygen::SURE - 0.01)->airy);
        self::assertSame(self::withOxygen(1.7)->sum, self::withOxygen(2.5)->sum, 'enough is enough');
        self::assertGreaterThan(self::withOxygen(1.5)->sum, self::withOxygen(1.3)->sum);
    }

    /** A pump is against the taste for little money. */
    public function testAnAirStoneCostsMostWhereMoneyIsShort(): void
    {
        $plain = Sample::planted();
        $stirred = Sample::edit($plain, ['equipment.device' => 'air-stone']);
        $judgement = Judge::judge($plain, days: 60);
        $cost = static fn (Taste $taste): float => Score::of($stirred, $judgement)->valued($taste)
            - Score::of($plain, $judgement)->valued($taste);
        self::assertGreaterThan($cost(Taste::Jungle), $cost(Taste::LeastMoney));
        self::assertGreaterThan(0.0, $cost(Taste::Jungle));
    }
}
