<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Log;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What was written down, in the kit's own words and as a run lives it. */
final class LogTest extends TestCase
{
    /** Ion to element from standard atomic weights (P: IUPAC 2021): NH4 1.2878, NH3 1.2159, NO2 3.2845, NO3 4.4266 mg per mg N. */
    #[TestWith(['', Measure::Ammonia, 1.2878, '1.3 mg/L as NH₄'])]
    #[TestWith(['NH3,NO2,NO3', Measure::Ammonia, 1.2159, '1.2 mg/L as NH₃'])]
    #[TestWith(['N,N,N', Measure::Ammonia, 1.0, '1.0 mg/L as N'])]
    #[TestWith(['', Measure::Nitrite, 3.2845, '3.3 mg/L as NO₂'])]
    #[TestWith(['', Measure::Nitrate, 4.4266, '4.4 mg/L as NO₃'])]
    public function testAKitCountsAnIonOrNitrogen(string $code, Measure $measure, float $shown, string $text): void
    {
        $kit = TestKit::of($code);
        self::assertEqualsWithDelta(1.0, $kit->toBase($measure, $shown), 1e-4);
        self::assertEqualsWithDelta($shown, $kit->fromBase($measure, 1.0), 1e-4);
        self::assertSame($text, str_replace("\u{00A0}", ' ', $kit->show($measure, 1.0)));
        self::assertSame($kit->code(), TestKit::of($kit->code())->code());
    }

    public function testWhatIsNoKitIsTheUsualOne(): void
    {
        self::assertSame('NH4,NO2,NO3,PO4', TestKit::of('gold,NO3,?')->code());
        self::assertSame('7.4', TestKit::of()->show(Measure::Acidity, 7.4));
        self::assertStringContainsString('73.4', TestKit::of()->show(Measure::Temperature, 23, UnitSystem::Us));
        self::assertSame('0', TestKit::of()->figure(Measure::Ammonia, 0.001));
        self::assertSame('0.01', TestKit::of()->figure(Measure::Nitrite, 0.0035));
    }

    /**
     * A test done four times in a day is a test, whose last counts; five are a probe's, whose median does.
     *
     * @param list<float> $values
     */
    #[TestWith([[7.0, 7.4, 7.2, 7.6], 7.6])]
    #[TestWith([[7.0, 8.2, 7.2, 7.6, 7.1], 7.2])]
    #[TestWith([[7.0, 8.2, 7.2, 7.6, 7.1, 7.4], 7.3])]
    public function testOfAProbesDayTheMedianStands(array $values, float $stands): void
    {
        $builder = new LogBuilder();
        foreach ($values as $value) {
            $builder->add(3, LogBuilder::READING, Measure::Acidity->value, $value, null);
            $builder->add(4, LogBuilder::READING, Measure::Temperature->value, $value, null);
        }
        $log = $builder->log();
        self::assertCount(2, $log->readings);
        self::assertEqualsWithDelta($stands, $log->latest(Measure::Acidity)?->value, 1e-12);
    }

    public function testReadingsStandByDayAndTheLastOfADayCounts(): void
    {
        $log = new Log(
            [new Reading(5, Measure::Ammonia, 0.3), new Reading(2, Measure::Ammonia, 0.1), new Reading(5, Measure::Ammonia, 0.2)],
            [],
            [9 => false, 3 => true],
        );
        self::assertSame([2, 5], array_map(static fn (Reading $r): int => $r->day, $log->readings));
        self::assertSame(0.2, $log->latest(Measure::Ammonia)?->value);
        self::assertSame(0.1, $log->upTo(4)->latest(Measure::Ammonia)?->value);
        self::assertSame([3 => true], $log->upTo(4)->algae);
        self::assertNull($log->latest(Measure::Nitrite));
        self::assertSame(3, $log->algaeOn(1, 7));
        self::assertNull($log->algaeOn(1, 9), 'who looked last is right');
        self::assertNull($log->algaeOn(4, 8), 'nobody looked');
    }

    private static function lives(Log $log): Trace
    {
        $lived = ActualPlan::of(Sample::planted(), $log);

        return (new Runner($lived->plan))->run(60, $lived->events);
    }

    public function testAnimalsAreInWhenTheyCameAndNotBefore(): void
    {
        $bare = self::lives(new Log());
        self::assertSame(0.0, $bare->highest('animals')[0], 'planned for day 28, but nobody wrote that they came');
        $stocked = self::lives(
            new Log([], [new LoggedEvent(12, EventKind::Stock, 4, 'a1'), new LoggedEvent(20, EventKind::Stock, 2, 'a1')]),
        );
        self::assertSame(0.0, $stocked->columns['heads'][11]);
        self::assertEqualsWithDelta(4.0, $stocked->columns['heads'][12], 0.1);
        self::assertEqualsWithDelta(2.0, $stocked->columns['heads'][20] - $stocked->columns['heads'][19], 0.1);
    }

    /** A dose is in the water on its day; half of the water changed takes half of what is in it. */
    public function testDosesAndChangesHappenOnTheirDays(): void
    {
        $dosed = self::lives(new Log([], [new LoggedEvent(3, EventKind::Dose, 2.0)]));
        self::assertLessThan(0.3, $dosed->columns['ammonia'][2]);
        self::assertGreaterThan(1.5, $dosed->columns['ammonia'][3]);
        $changed = self::lives(new Log([], [new LoggedEvent(3, EventKind::Dose, 2.0), new LoggedEvent(3, EventKind::Change, 0.5)]));
        self::assertEqualsWithDelta(0.5, $changed->columns['ammonia'][3] / $dosed->columns['ammonia'][3], 0.06);
    }

    public function testFeedingBeginsAndStopsAsWritten(): void
    {
        $trace = self::lives(
            new Log(
                [],
                [
                    new LoggedEvent(10, EventKind::Stock, 10, 'a1'),
                    new LoggedEvent(15, EventKind::Feed, 0.05),
                    new LoggedEvent(25, EventKind::Feed, 0.0),
                ],
            ),
        );
        self::assertSame(0.0, $trace->columns['food'][14], 'in since day 10, and unfed until it was written down');
        self::assertGreaterThan(0.0, $trace->columns['food'][16]);
        self::assertSame(0.0, $trace->columns['food'][26]);
    }

    /** The lamp begins at 60 % and rises by 10 a week; a week with algae takes a step back, whatever the run thinks. */
    public function testWhatWasSeenOfAlgaeDecidesTheLamp(): void
    {
        $plan = Sample::edit(Sample::planted(), ['light.startShare' => '60', 'light.stepShare' => '10']);
        $share = static function (array $algae) use ($plan): array {
            /** @var array<int, bool> $algae */
            $lived = ActualPlan::of($plan, new Log([], [], $algae));
            $trace = (new Runner($lived->plan))->run(29, $lived->events);

            return array_map(static fn (int $day): float => round($trace->columns['lampShare'][$day], 2), [0, 7, 14, 21, 28]);
        };
        self::assertSame([0.6, 0.7, 0.8, 0.9, 1.0], $share([6 => false, 13 => false, 20 => false, 27 => false]));
        self::assertSame([0.6, 0.7, 0.6, 0.7, 0.8], $share([6 => false, 12 => true, 20 => false, 27 => false]));
    }

    /** Dying leaves removed leaves with what it holds: less mulm on its day, and less of everything that rots. */
    public function testMeltTakenOutIsOut(): void
    {
        $left = self::lives(new Log());
        $out = self::lives(new Log([], [new LoggedEvent(14, EventKind::MulmOut, 0.5)]));
        self::assertSame($left->columns['mulm'][13], $out->columns['mulm'][13]);
        self::assertEqualsWithDelta(0.5, $out->columns['mulm'][14] / $left->columns['mulm'][14], 0.1);
    }

    public function testGroupsKeepTheirPlacesWhoeverCameFirst(): void
    {
        $plan = Sample::edit(Sample::planted(), ['animals.add' => 'neocaridina-davidi']);
        $lived = ActualPlan::of(
            $plan,
            new Log([], [new LoggedEvent(9, EventKind::Stock, 3, 'a2'), new LoggedEvent(12, EventKind::Stock, 50, 'gone')]),
        );
        self::assertSame(['a1', 'a2'], array_map(static fn ($g): string => $g->id, $lived->plan->groups));
        self::assertSame([1095, 9], array_map(static fn ($g): int => $g->day, $lived->plan->groups));
        self::assertSame(3, $lived->plan->groups[1]->count);
        self::assertEquals($plan->bed, $lived->plan->bed, 'all else stands');
    }

    #[TestWith([EventKind::Stock, 4.0, '4 × Least killifish came'])]
    #[TestWith([EventKind::Dose, 2.0, 'Ammonia dosed, 2.6 mg/L as NH₄'])]
    #[TestWith([EventKind::Change, 0.42, '42 % of the water changed'])]
    #[TestWith([EventKind::Feed, 0.05, 'Fed from now on, 0.05 g a day'])]
    #[TestWith([EventKind::Feed, 0.0, 'Feeding stopped'])]
    public function testWhatIsDoneIsToldInTheKeepersWords(EventKind $kind, float $amount, string $words): void
    {
        self::assertSame(
            $words,
            str_replace(["\u{00A0}", "\u{202F}"], ' ', LoggedEvent::line($kind, $amount, TestKit::of(), Sample::planted()->groups[0])),
        );
    }

    /** Whatever can be logged has a line, and an event that a run understands. */
    public function testEveryKindThatIsLoggedHasItsLineAndItsEvent(): void
    {
        $logged = array_filter(EventKind::cases(), static fn (EventKind $k): bool => null !== $k->happens()->done);
        self::assertContains(EventKind::Bacteria, $logged);
        foreach ($logged as $kind) {
            $most = $kind->amount()->to ?? 1.0;
            self::assertNotSame('', LoggedEvent::line($kind, $most, TestKit::of()));
            self::assertInstanceOf($kind->type(), (new LoggedEvent(3, $kind, $most, 'a1'))->event());
        }
    }
}
