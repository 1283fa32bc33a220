<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Estimation;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Keeping\Estimation\Breath;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Estimation\Scale;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Whether an estimate is right, and as sure as it says: on tanks whose truth is known. */
final class EstimatorTest extends TestCase
{
    private const DAYS = 80;
    private const END = 116;
    private const TWINS = 6;

    private static function plan(): Plan
    {
        return Sample::edit(
            Sample::planted(),
            ['plants.add.salvinia-natans' => '12', 'animals.a1.day' => '30', 'events.add.change' => '60'],
        );
    }

    public function testBandsHoldAsManyAsTheySay(): void
    {
        $held = $inside = $true = 0;
        $before = $after = 0.0;
        for ($seed = 0; $seed < self::TWINS; ++$seed) {
            $twin = Twin::of(self::plan(), 7000 + $seed, self::DAYS, self::END);
            $estimate = (new Estimator(self::plan(), $twin->log, self::DAYS))->estimate();
            self::assertNotNull($estimate);
            foreach ($twin->held as $reading) {
                $quantity = Quantity::of($reading->measure);
                self::assertNotNull($quantity);
                if ($reading->measure->nothingBelow() > 0 && $reading->isNothing()) {
                    // Where nothing shows, every band agrees: that would flatter.
                    continue;
                }
                $scale = Scale::of($reading->measure);
                [$low, $middle, $high] = array_map($scale->from(...), $estimate->on($quantity, $reading->day));
                // Within which a test would read, that errs as much as tests do. 1.2816: the normal distribution's 90th percentile.
                $errs = 1.2816 * hypot($scale->noise, $scale->bias);
                $up = hypot($high - $middle, $errs);
                $down = hypot($middle - $low, $errs);
                $value = $scale->from($reading->value);
                $truth = $scale->from(Twin::value($twin->truth, $reading->measure, $reading->day));
                ++$held;
                $inside += $value <= $middle + $up && $value >= $middle - $down ? 1 : 0;
                $true += $truth <= $high && $truth >= $low ? 1 : 0;
                $after += abs($truth - $middle) / $scale->noise;
                $before += abs($truth - $scale->from($estimate->wasExpected($quantity, $reading->day)[1])) / $scale->noise;
            }
        }
        self::assertGreaterThan(250, $held);
        self::assertEqualsWithDelta(0.8, $inside / $held, 0.1, 'readings kept back');
        self::assertEqualsWithDelta(0.8, $true / $held, 0.1, 'the truth itself');
        self::assertLessThan(0.7 * $before, $after, 'readings bring the estimate nearer to the truth');
    }

    public function testTheSameIsAlwaysEstimatedFromTheSame(): void
    {
        $twin = Twin::of(self::plan(), 1, 20, 24);
        $one = (new Estimator(self::plan(), $twin->log, 20))->estimate();
        $other = (new Estimator(self::plan(), $twin->log, 20))->estimate();
        self::assertEquals($one, $other);
    }

    public function testWithoutReadingsItIsWhatWasExpected(): void
    {
        $estimate = (new Estimator(self::plan(), new Log(), 10))->estimate();
        self::assertNotNull($estimate);
        self::assertSame($estimate->expected, $estimate->bands);
        self::assertSame(11 + Estimator::AHEAD, $estimate->days());
        self::assertSame([], $estimate->departures);
        self::assertContains(Quantity::Nitrate, $estimate->untold());
        self::assertFalse($estimate->habits[0]->isTold());
    }

    public function testWithoutTimeThereIsNone(): void
    {
        $spent = new class implements TimeLimit {
            public function isSpent(): bool
            {
                return true;
            }
        };
        self::assertNull((new Estimator(self::plan(), new Log(), 10))->estimate($spent));
    }

    public function testHardnessThatNoPlanTellsOfIsFollowedAndSaid(): void
    {
        // Somebody laid in limestone and wrote nothing down: KH rises by eight degrees from day 20 on.
        $readings = [];
        foreach ([5, 12, 30, 37, 44, 51, 58] as $day) {
            $readings[] = new Reading($day, Measure::CarbonateHardness, $day < 20 ? 6.0 : 14.0);
        }
        $estimate = (new Estimator(self::plan(), new Log($readings), 60))->estimate();
        self::assertNotNull($estimate);
        [$low, , $high] = $estimate->on(Quantity::CarbonateHardness, 60);
        self::assertTrue($low < 14.0 && $high > 13.0, "$low to $high");
        self::assertLessThan(9.0, $estimate->wasExpected(Quantity::CarbonateHardness, 60)[2]);
        self::assertSame(['carbonateHardness'], array_keys($estimate->departures));
        self::assertStringContainsString('KH stands above', $estimate->departures['carbonateHardness']->words());
        // Nothing else is bent to explain it.
        self::assertEqualsWithDelta(1.0, $estimate->habits[0]->learned[1], 0.15);
    }

    public function testAChangeThatNobodyLoggedIsToldByItsTrace(): void
    {
        // A plan with hard water for changes of most of the tank, planned for day 30 and not logged.
        $plan = Sample::edit(self::plan(), ['events.e1.share' => '80', 'events.e1.day' => '30', 'water.gh' => '16', 'site.lid' => 'no']);
        $share = [0.0, 0.0];
        foreach ([true, false] as $happened) {
            $actual = ActualPlan::upTo($plan, new Log(), 60, static fn (): bool => $happened);
            $trace = (new Runner($actual->plan))->run(61, $actual->events);
            $readings = [];
            foreach (range(32, 58, 4) as $day) {
                foreach ([Measure::GeneralHardness, Measure::Conductivity, Measure::CarbonateHardness, Measure::Nitrate] as $measure) {
                    $readings[] = new Reading($day, $measure, Twin::value($trace, $measure, $day));
                    $readings[] = new Reading($day - 30, $measure, Twin::value($trace, $measure, $day - 30));
                }
            }
            $estimate = (new Estimator($plan, new Log($readings), 60))->estimate();
            self::assertNotNull($estimate);
            $share[(int) $happened] = $estimate->happened['e1'];
        }
        self::assertGreaterThan($share[0], $share[1]);
    }

    public function testTheBestTestIsOneOfWhatIsUnknown(): void
    {
        $estimate = (new Estimator(self::plan(), new Log(), 60))->estimate();
        self::assertNotNull($estimate);
        self::assertNotSame([], $estimate->tests);
        self::assertGreaterThanOrEqual(60, $estimate->tests[0]->day);
        $tells = array_map(static fn ($t): float => $t->tells, $estimate->tests);
        self::assertSame($tells, array_values(array_filter($tells, static fn (float $t): bool => $t > 0.05)));
        self::assertContains(Measure::CarbonateHardness, array_map(static fn ($t): Measure => $t->measure, $estimate->tests));
        // Read ten times, it has little left to tell.
        $readings = array_map(static fn (int $day): Reading => new Reading($day, Measure::CarbonateHardness, 5.0), range(6, 60, 6));
        $read = (new Estimator(self::plan(), new Log($readings), 60))->estimate();
        self::assertNotNull($read);
        self::assertLessThan(self::tells($estimate), self::tells($read));
    }

    private static function tells(Estimate $estimate): float
    {
        foreach ($estimate->tests as $test) {
            if (Measure::CarbonateHardness === $test->measure) {
                return $test->tells;
            }
        }

        return 0.0;
    }

    public function testDawnAndDuskAreReadAsBreath(): void
    {
        $log = static fn (int $dawn, int $dusk, int $hardness): Log => new Log([
            new Reading($dawn, Measure::AcidityAtDawn, 7.0),
            new Reading($dusk, Measure::AcidityAtDusk, 8.0),
            new Reading($hardness, Measure::CarbonateHardness, 6.0),
        ]);
        $breath = Breath::of(self::plan(), $log(50, 50, 40));
        self::assertNotNull($breath);
        // C: the keepers' table has CO2 = 3 · KH · 10^(7 − pH), 18 and 1.8 mg/L, for colder and saltier water: a fifth too low here.
        self::assertEqualsWithDelta(18.0, $breath->dawn, 0.25 * 18.0);
        self::assertEqualsWithDelta(1.8, $breath->dusk, 0.25 * 1.8);
        // By carbon: 12/44 of the CO2 that went, and little more, since at this pH hardly any bicarbonate becomes carbonate.
        self::assertEqualsWithDelta(($breath->dawn - $breath->dusk) * 12 / 44, $breath->drawn, 0.3);
        self::assertNotNull(Breath::of(self::plan(), $log(51, 50, 5)));
        self::assertNull(Breath::of(self::plan(), $log(52, 50, 40)));
        self::assertNull(Breath::of(self::plan(), $log(50, 50, 4)));
        self::assertNull(Breath::of(self::plan(), new Log()));
    }

    public function testAnimalsThatWereCountedAreThere(): void
    {
        $log = new Log([new Reading(40, Measure::Heads, 3.0, 'a1')], [new LoggedEvent(30, EventKind::Stock, 10, 'a1')]);
        $estimate = (new Estimator(self::plan(), $log, 41))->estimate();
        self::assertNotNull($estimate);
        self::assertEqualsWithDelta(3.0, $estimate->on(Quantity::Animals, 41)[1], 0.5);
        self::assertGreaterThan(8.0, $estimate->on(Quantity::Animals, 39)[1]);
    }
}
