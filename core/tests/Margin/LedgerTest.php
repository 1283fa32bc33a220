<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Margin;

use Olvek\Core\Margin\Account;
use Olvek\Core\Margin\Ledger;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

final class LedgerTest extends TestCase
{
    /** Books of random tanks on random days: food splits whole, water stands still where it keeps up, every store's sum is nothing. */
    public function testTheBooksClose(): void
    {
        $kept = 0;
        for ($seed = 1; $seed <= 300; ++$seed) {
            $plan = Sample::random($seed);
            $ledger = (new Account($plan))->onDay((float) ($seed * 7 % 400));
            foreach ($ledger->flows as $flow) {
                self::assertGreaterThan(0.0, $flow->amount);
                self::assertTrue(is_finite($flow->amount));
            }
            $scale = max(1.0, $ledger->supply);
            self::assertEqualsWithDelta(-$ledger->along('food', 'animals'), $ledger->change('food'), 1e-9 * $scale);
            self::assertEqualsWithDelta(array_sum(array_map($ledger->change(...), Ledger::STORES)), 0.0, 1e-9 * $scale);
            self::assertEqualsWithDelta($ledger->supply, array_sum(array_map(static fn (string $s): float => $ledger->along($s, 'ammonia'), ['animals', 'mulm', 'soil'])), 1e-9 * $scale);
            if ($ledger->keepsUp) {
                ++$kept;
                self::assertEqualsWithDelta(0.0, $ledger->change('ammonia'), 1e-9 * $scale);
                self::assertEqualsWithDelta(0.0, $ledger->change('nitrate'), 1e-9 * $scale);
            } else {
                self::assertGreaterThan(0.0, $ledger->change('ammonia'));
            }
        }
        self::assertGreaterThan(100, $kept, 'the law was tried on many tanks');
    }

    public function testMoreFoodMeansMoreAmmonia(): void
    {
        $before = 0.0;
        foreach (['0.01', '0.05', '0.2', '1', '5'] as $grams) {
            $ledger = (new Account(Sample::edit(Sample::planted(), ['feeding.grams' => $grams])))->onDay(40);
            self::assertGreaterThan($before, $ledger->ammonia);
            $before = $ledger->ammonia;
        }
    }

    public function testMorePlantsMeanLessAmmonia(): void
    {
        $before = \INF;
        foreach (['20', '30', '50', '90'] as $stems) {
            $ledger = (new Account(Sample::edit(Sample::planted(), ['plants.c1.pieces' => $stems, 'animals.a1.day' => '0'])))->onDay(10);
            self::assertLessThan($before, $ledger->ammonia);
            $before = $ledger->ammonia;
        }
    }

    /** C: a thin or missing cap lets several times as much through; a cap twice as deep as the soil next to nothing. */
    public function testTheCapHoldsTheSoilBack(): void
    {
        $leak = static fn (string $cap): float => (new Account(Sample::edit(Sample::planted(), ['bed.cap.front' => $cap, 'bed.cap.back' => $cap])))->release()->leak(14);

        self::assertGreaterThan(4 * $leak('5 cm'), $leak('0.5 cm'));
        self::assertGreaterThan(1.5 * $leak('5 cm'), $leak('2.5 cm'));
        $flush = static fn (string $cap): float => (new Account(Sample::edit(Sample::planted(), ['bed.cap.front' => $cap, 'bed.cap.back' => $cap])))->firstFlush();
        self::assertGreaterThan(6 * $flush('5 cm'), $flush('0.5 cm'));
    }

    public function testASeasonedBedOxidisesAtOnceABareOneWeeksLater(): void
    {
        $bacteria = static fn (string $from, float $day): float => (new Account(Sample::edit(Sample::planted(), ['start.inoculum' => $from, 'animals.a1.day' => '0'])))->onDay($day)->along('ammonia', 'nitrate');

        self::assertGreaterThan(20 * $bacteria('nothing', 3), $bacteria('seasoned-bed', 3));
        self::assertGreaterThan(20 * $bacteria('nothing', 3), $bacteria('nothing', 45));
    }
}
