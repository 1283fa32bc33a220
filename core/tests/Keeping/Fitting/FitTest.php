<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Fitting;

use Olvek\Core\Keeping\Fitting\Fit;
use Olvek\Core\Keeping\Fitting\Forecast;
use Olvek\Core\Keeping\Fitting\Member;
use Olvek\Core\Keeping\Fitting\Tuned;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Twins: a tank whose true numbers are known is read with a drop test's noise, and the fit must find them; what it says of days to come
 * must hold.
 */
final class FitTest extends TestCase
{
    /** A thin cap over soil, a few crypts: it leaks, so there is something to read. */
    private static function leaky(): Plan
    {
        return Sample::edit(Plan::starting('Leaky', Sample::catalogue()), [
            'bed.cap.front' => '1 cm',
            'bed.cap.back' => '1 cm',
            'plants.add' => 'cryptocoryne-wendtii',
        ]);
    }

    /** @param array<string, float> $true */
    private static function lives(ActualPlan $lived, array $true): Trace
    {
        return (new Runner($lived->plan, (new Parameters())->with($true)))->run(60, $lived->events);
    }

    /**
     * @param list<LoggedEvent> $events
     */
    private static function read(Trace $trace, int $upTo, array $events = []): Log
    {
        $dice = new \Random\Randomizer(new \Random\Engine\Mt19937(5));
        $readings = [];
        for ($day = 1; $day <= $upTo; $day += 2) {
            foreach (Forecast::MEASURES as $measure) {
                $value = $trace->columns[$measure->value][$day] * exp((0.25 * $dice->getInt(-1000, 1000)) / 1000);
                $readings[] = new Reading($day, $measure, $value < $measure->nothingBelow() ? 0.0 : $value);
            }
        }

        return new Log($readings, $events);
    }

    private static function forecast(ActualPlan $lived, Log $log, ?Fit $fit): Forecast
    {
        return Forecast::of(
            array_map(static fn (int $n): Member => Forecast::member($lived, $log, $fit, 42, $n), range(0, Forecast::MEMBERS - 1)),
            null !== $fit,
        );
    }

    #[TestWith([2.5, 0.5])]
    #[TestWith([0.5, 2.5])]
    #[TestWith([1.5, 0.3])]
    public function testSoilAndBacteriaOfATwinAreFound(float $soil, float $bacteria): void
    {
        $lived = ActualPlan::of(self::leaky(), new Log());
        $log = self::read(self::lives($lived, ['flushFactor' => $soil, 'inoculum' => $bacteria]), 21);
        $fit = Fit::of($lived, $log);
        self::assertNotNull($fit);
        self::assertEqualsWithDelta(log($soil), log($fit->factors['flushFactor']), 3 * $fit->spreads['flushFactor']);
        self::assertEqualsWithDelta(log($bacteria), log($fit->factors['inoculum']), 3 * $fit->spreads['inoculum']);
        self::assertLessThan(0.5, $fit->spreads['flushFactor'], 'three weeks of readings tell of the soil');
        self::assertLessThan(Fit::distance($fit->before), Fit::distance($fit->after));
        self::assertLessThan(1.0, Fit::distance($fit->after), 'as close as a test reads');
    }

    /** Eight of ten: of 3 substances on 4 days ahead, most true values must lie within the band that was learned on day 9. */
    public function testWhatWasLearnedByDayNineHoldsForWeeks(): void
    {
        $lived = ActualPlan::of(self::leaky(), new Log());
        $true = self::lives($lived, ['flushFactor' => 2.5, 'inoculum' => 0.5]);
        $log = self::read($true, 9);
        $learned = self::forecast($lived, $log, Fit::of($lived, $log));
        $planned = self::forecast($lived, $log, null);
        $in = $was = 0;
        foreach ([12, 16, 20, 26] as $day) {
            foreach (Forecast::MEASURES as $measure) {
                $value = $true->columns[$measure->value][$day];
                [$low, , $high] = $learned->band($measure, $day);
                $in += $value >= 0.9 * $low - 0.02 && $value <= 1.1 * $high + 0.02 ? 1 : 0;
            }
        }
        self::assertGreaterThanOrEqual(10, $in, 'of twelve');
        self::assertGreaterThan(
            $planned->band(Measure::Nitrite, 12)[2],
            $true->columns['nitrite'][12],
            'the plan alone had not seen it coming',
        );
        foreach ($log->readings as $reading) {
            $was += abs($planned->stands($reading));
            self::assertSame(0, $learned->stands($reading), "{$reading->measure->value} on day $reading->day is explained");
        }
        self::assertGreaterThan(0, $was, 'reality had left the first band');
    }

    public function testTooFewReadingsTeachNothing(): void
    {
        $lived = ActualPlan::of(self::leaky(), new Log());
        self::assertNull(
            Fit::of(
                $lived,
                new Log([
                    new Reading(1, Measure::Ammonia, 0.2),
                    new Reading(1, Measure::Nitrite, 0.0),
                    new Reading(1, Measure::Acidity, 7.0),
                ]),
            ),
        );
    }

    public function testReadingsOfNothingMoveLittleAndSaySo(): void
    {
        $plan = Sample::planted();
        $log = new Log(array_map(static fn (int $day): Reading => new Reading($day, Measure::Ammonia, 0.0), [1, 3, 5]));
        $fit = Fit::of(ActualPlan::of($plan, $log), $log);
        self::assertNotNull($fit);
        foreach (Tuned::cases() as $tuned) {
            self::assertEqualsWithDelta(0.0, log($fit->factors[$tuned->value]), $tuned->prior());
        }
        self::assertContains(Tuned::Plants, $fit->untold());
    }

    /** 1.6 mg N/L on the day of a dose is what was there before it: the dose itself must not be taken for the soil's. */
    public function testWhatWasReadBeforeADoseIsNotTheDose(): void
    {
        $events = [new LoggedEvent(5, EventKind::Dose, 4.0)];
        $lived = ActualPlan::of(self::leaky(), new Log([], $events));
        $true = self::lives($lived, []);
        $before = $true->columns['ammonia'][4];
        $log = new Log(
            [
                ...array_map(static fn (int $d): Reading => new Reading($d, Measure::Ammonia, $true->columns['ammonia'][$d]), [2, 3, 4]),
                new Reading(5, Measure::Ammonia, $before),
            ],
            $events,
        );
        $fit = Fit::of($lived, $log);
        self::assertNotNull($fit);
        self::assertEqualsWithDelta(1.0, $fit->factors['flushFactor'], 0.05);
    }

    public function testQuietDaysComeInOrder(): void
    {
        $lived = ActualPlan::of(self::leaky(), new Log());
        $quiet = self::forecast($lived, new Log(), null)->quiet(1);
        self::assertNotNull($quiet['early']);
        self::assertNotNull($quiet['likely']);
        self::assertLessThanOrEqual($quiet['likely'], $quiet['early']);
        self::assertTrue(null === $quiet['late'] || $quiet['late'] >= $quiet['likely']);
    }

    public function testTheSameTankGetsTheSameForecast(): void
    {
        $log = new Log();
        $lived = ActualPlan::of(self::leaky(), $log);
        self::assertEquals(Forecast::member($lived, $log, null, 20, 7), Forecast::member($lived, $log, null, 20, 7));
        self::assertNotEquals(Forecast::member($lived, $log, null, 20, 7), Forecast::member($lived, $log, null, 20, 8));
    }
}
