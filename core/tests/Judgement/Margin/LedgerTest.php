<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Ledger;
use Olvek\Core\Nature\Bed\Release;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\FlowRecorder;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

final class LedgerTest extends TestCase
{
    /** Books of random tanks on random days: inputs less outputs are what each store gained, to rounding; nothing is made or lost. */
    public function testInputsLessOutputsAreTheChangeInStore(): void
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            $ledger = Ledger::onDay(Sample::random($seed), ($seed * 7) % 200);
            $scale = max(1.0, ...array_values($ledger->before));
            foreach (FlowRecorder::WITHIN as $store) {
                self::assertEqualsWithDelta(
                    $ledger->after[$store] - $ledger->before[$store],
                    $ledger->change($store),
                    1e-9 * $scale,
                    "seed $seed, $store",
                );
            }
            self::assertEqualsWithDelta(0.0, array_sum(array_map($ledger->change(...), Ledger::STORES)), 1e-9 * $scale);
            foreach ($ledger->flows as $flow) {
                self::assertTrue($flow->amount > 0 && is_finite($flow->amount));
            }
        }
    }

    /**
     * Food splits into what is excreted, dropped and kept, by the published share of protein: 0.092 of 0.4 of 50 mg. By hand: 1.84 mg N.
     */
    public function testFoodIsExcretedAsPublished(): void
    {
        $ledger = Ledger::onDay(Sample::planted(), 60);
        self::assertEqualsWithDelta(1.84, $ledger->along('food', 'ammonia'), 1e-9);
        self::assertEqualsWithDelta(
            3.2,
            $ledger->along('food', 'ammonia') + $ledger->along('food', 'animals') + $ledger->along('food', 'mulm'),
            1e-9,
        );
    }

    public function testMoreFoodMeansMoreIsOxidised(): void
    {
        $before = 0.0;
        foreach (['0.01', '0.05', '0.2'] as $grams) {
            $oxidised = Ledger::onDay(Sample::edit(Sample::planted(), ['feeding.grams' => $grams, 'animals.a1.count' => '40']), 90)->along(
                'ammonia',
                'nitrate',
            );
            self::assertGreaterThan($before, $oxidised);
            $before = $oxidised;
        }
    }

    /** C: a thin or missing cap lets several times as much through; a cap twice as deep as the soil next to nothing. */
    public function testTheCapHoldsTheSoilBack(): void
    {
        $plan = static fn (string $cap): Plan => Sample::edit(Sample::planted(), [
            'bed.cap.front' => $cap,
            'bed.cap.back' => $cap,
            'plants.c1.remove' => '1',
            'plants.c2.remove' => '1',
        ]);
        $leak = static fn (string $cap): float => (new Runner($plan($cap)))->run(15)->columns['leak'][14];
        $filling = static fn (string $cap): float => (new Release($plan($cap)->bed, $plan($cap)->vessel))->atFilling();

        self::assertGreaterThan(3 * $leak('5 cm'), $leak('0.5 cm'));
        self::assertGreaterThan(1.5 * $leak('5 cm'), $leak('2.5 cm'));
        self::assertGreaterThan(5 * $filling('5 cm'), $filling('0.5 cm'));
    }

    public function testASeasonedBedOxidisesAtOnceABareOneWeeksLater(): void
    {
        $plan = Sample::edit(Plan::starting('Bare', Sample::catalogue()), [
            'bed.soil.material' => 'none',
            'animals.add' => 'heterandria-formosa',
            'animals.a1.day' => '0',
            'feeding.grams' => '0.1',
        ]);
        $bacteria = static fn (string $from, int $day): float => Ledger::onDay(
            Sample::edit($plan, ['start.inoculum' => $from]),
            $day,
        )->along('ammonia', 'nitrate');

        self::assertGreaterThan(20 * $bacteria('nothing', 3), $bacteria('seasoned-bed', 3));
        self::assertGreaterThan(20 * $bacteria('nothing', 3), $bacteria('nothing', 45));
    }
}
