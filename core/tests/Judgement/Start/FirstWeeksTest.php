<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Start\Advice;
use Olvek\Core\Judgement\Start\FirstWeeks;
use Olvek\Core\Judgement\Start\Gate;
use Olvek\Core\Judgement\Start\GateState;
use Olvek\Core\Judgement\Start\QuickEntry;
use Olvek\Core\Judgement\Start\TankToday;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/**
 * Each way of starting, walked from the filling to "they may come": what opens a gate, what keeps it shut, and what is said meanwhile. All
 * C.
 */
final class FirstWeeksTest extends TestCase
{
    private static function plan(string $way): Plan
    {
        return Sample::edit(Sample::planted(), [
            'start.way' => $way,
            'animals.a1.day' => '1',
            'animals.add' => 'neocaridina-davidi',
            'animals.a2.day' => '20',
        ]);
    }

    /**
     * @param list<array{int, float, float, 3?: float}> $tests day, ammonia, nitrite and nitrate in mg N/L
     * @param list<LoggedEvent>                                $events
     */
    private static function weeks(string $way, int $today, array $tests = [], array $events = []): FirstWeeks
    {
        $readings = [];
        foreach ($tests as $test) {
            $readings[] = new Reading($test[0], Measure::Ammonia, $test[1]);
            $readings[] = new Reading($test[0], Measure::Nitrite, $test[2]);
            if (isset($test[3])) {
                $readings[] = new Reading($test[0], Measure::Nitrate, $test[3]);
            }
        }

        return FirstWeeks::of(new TankToday(self::plan($way), new Log($readings, $events), $today, TestKit::of()));
    }

    private static function gate(FirstWeeks $weeks, string $id): Gate
    {
        return array_column($weeks->gates, null, 'id')[$id];
    }

    /** @return array<string, string> state by gate */
    private static function states(FirstWeeks $weeks): array
    {
        return array_map(static fn (Gate $g): string => $g->state->value, array_column($weeks->gates, null, 'id'));
    }

    private static function advice(FirstWeeks $weeks): string
    {
        return implode(' ', array_map(static fn (Advice $a): string => Said::all([$a->means, ...$a->do]), $weeks->advice));
    }

    public function testPlantsDoIt(): void
    {
        self::assertSame(
            ['fit' => 'waits', 'group-a1' => 'later', 'group-a2' => 'later', 'settled' => 'later', 'feed' => 'waits'],
            self::states(self::weeks('plants', 0)),
        );
        self::assertTrue(self::weeks('plants', 1)->isTestDue());
        $fit = self::weeks('plants', 2, [[1, 0.3, 0.0], [2, 0.05, 0.0]]);
        self::assertSame('passed', self::states($fit)['fit']);
        self::assertSame(GateState::Ready, self::gate($fit, 'group-a1')->state, 'a few may come on day 2');
        $in = self::weeks('plants', 6, [[2, 0.0, 0.0], [5, 0.0, 0.0]], [new LoggedEvent(2, EventKind::Stock, 10, 'a1')]);
        self::assertSame(9, self::gate($in, 'feed')->day, 'unfed for a week');
        self::assertStringContainsString('gate.not-before(day: 20)', Said::all(self::gate($in, 'group-a2')->standing));
    }

    public function testBottledBacteriaWantAWeekOfNothing(): void
    {
        $events = [new LoggedEvent(0, EventKind::Bacteria, 1.0), new LoggedEvent(1, EventKind::Stock, 10, 'a1')];
        $week = array_map(static fn (int $day): array => [$day, 0.0, 0.0], range(1, 7));
        self::assertSame('waits', self::states(self::weeks('bottled', 6, \array_slice($week, 0, 6), $events))['week']);
        self::assertSame(7, self::gate(self::weeks('bottled', 7, $week, $events), 'week')->day);
        self::assertSame(2, self::weeks('bottled', 1, \array_slice($week, 0, 1), $events)->nextTest, 'daily');
    }

    /** A bad week: nitrite stays up, and nothing opens; the count begins anew after it. */
    public function testNitriteThatStaysUpKeepsTheGateShut(): void
    {
        $events = [new LoggedEvent(0, EventKind::Bacteria, 1.0), new LoggedEvent(1, EventKind::Stock, 10, 'a1')];
        $tests = [[1, 0.0, 0.0], [2, 0.2, 0.0], ...array_map(static fn (int $day): array => [$day, 0.0, 0.4], range(3, 10))];
        $weeks = self::weeks('bottled', 10, $tests, $events);
        self::assertSame('waits', self::states($weeks)['week']);
        self::assertStringContainsString('gate.week.run(done: 0, tests: 7)', Said::all(self::gate($weeks, 'week')->standing));
        self::assertSame(MarginState::Fails, $weeks->advice[0]->state);
        self::assertStringContainsString('advice.no-food', self::advice($weeks));
        self::assertSame(11, $weeks->nextTest, 'with animals in and nitrite up, every day');
        $after = self::weeks(
            'bottled',
            17,
            [...$tests, ...array_map(static fn (int $day): array => [$day, 0.0, 0.0], range(11, 17))],
            $events,
        );
        self::assertSame(17, self::gate($after, 'week')->day);
    }

    public function testADayWithoutATestDoesNotCount(): void
    {
        $events = [new LoggedEvent(0, EventKind::Bacteria, 1.0), new LoggedEvent(1, EventKind::Stock, 10, 'a1')];
        $tests = array_map(static fn (int $day): array => [$day, 0.0, 0.0], [1, 2, 3, 5, 6, 7]);
        $weeks = self::weeks('bottled', 7, $tests, $events);
        self::assertStringContainsString('gate.week.run(done: 6, tests: 7)', Said::all(self::gate($weeks, 'week')->standing));
        self::assertStringContainsString('gate.week.missed(days: [4])', Said::all(self::gate($weeks, 'week')->standing));
        self::assertSame(8, self::gate(self::weeks('bottled', 8, [...$tests, [8, 0.0, 0.0]], $events), 'week')->day);
    }

    public function testADoseMustBeGoneInADay(): void
    {
        $first = self::weeks('dosing', 14);
        self::assertSame(GateState::Ready, self::gate($first, 'dose')->state);
        $offer = self::gate($first, 'dose')->offer;
        self::assertInstanceOf(QuickEntry::class, $offer);
        self::assertStringContainsString(
            \sprintf('grams: %.4f', (((2 * self::plan('dosing')->netWater()) / 1000) * 53.489) / 14.007),
            Said::plain($offer->how ?? Message::text('')),
        );
        $dosed = [new LoggedEvent(14, EventKind::Dose, 2.0)];
        self::assertSame(15, self::weeks('dosing', 14, [[13, 0.0, 0.0]], $dosed)->nextTest, 'the day after decides');
        $slow = self::weeks('dosing', 20, [[15, 1.5, 0.2], [20, 0.0, 1.4]], $dosed);
        self::assertSame('waits', self::states($slow)['gone']);
        self::assertStringContainsString('gate.gone.since(days: 5)', Said::all(self::gate($slow, 'gone')->standing));
        $gone = self::weeks('dosing', 30, [[15, 1.5, 0.2], [20, 0.0, 1.4], [30, 0.0, 0.0]], $dosed);
        self::assertSame(GateState::Ready, self::gate($gone, 'gone')->state, 'gone, but not in a day: dose again');
        $proved = self::weeks('dosing', 31, [[30, 0.0, 0.0], [31, 0.0, 0.0, 3.0]], [...$dosed, new LoggedEvent(30, EventKind::Dose, 2.0)]);
        self::assertSame(
            ['passed', 'passed', 'ready'],
            [self::states($proved)['gone'], self::states($proved)['nitrate'], self::states($proved)['group-a1']],
        );
    }

    /** 60 mg/L as NO3 in 45.7 L to 30 with a tap of 1 mg N/L: (13.55 − 6.78)/(13.55 − 1) = 54 %, so in two goes. */
    public function testHighNitrateWantsALargeChange(): void
    {
        $weeks = self::weeks(
            'dosing',
            31,
            [[30, 0.0, 0.0], [31, 0.0, 0.0, 60 / 4.4268]],
            [new LoggedEvent(14, EventKind::Dose, 2.0), new LoggedEvent(30, EventKind::Dose, 2.0)],
        );
        self::assertSame('waits', self::states($weeks)['nitrate']);
        self::assertStringContainsString(
            'percent: 53.981,',
            Said::all(self::gate($weeks, 'nitrate')->standing),
        );
        self::assertStringContainsString('times: 2', Said::all(self::gate($weeks, 'nitrate')->standing));
    }

    public function testABorrowedBedWantsTwoQuietTests(): void
    {
        $seed = [new LoggedEvent(0, EventKind::Seed, 1.0)];
        self::assertSame('waits', self::states(self::weeks('borrowed', 1, [[1, 0.0, 0.0]], $seed))['fit']);
        self::assertSame(
            GateState::Ready,
            self::gate(self::weeks('borrowed', 2, [[1, 0.0, 0.0], [2, 0.0, 0.0]], $seed), 'group-a1')->state,
        );
        self::assertSame(
            ['ready', 'later'],
            \array_slice(array_values(self::states(self::weeks('borrowed', 2, [[1, 0.0, 0.0], [2, 0.0, 0.0]]))), 0, 2),
            'nothing was borrowed yet',
        );
    }

    public function testWaitingTakesThreeWeeksWhateverTheTests(): void
    {
        self::assertSame('waits', self::states(self::weeks('waiting', 12, [[3, 0.0, 0.0], [10, 0.0, 0.0]]))['fit']);
        self::assertSame(21, self::gate(self::weeks('waiting', 21, [[18, 0.0, 0.0], [21, 0.0, 0.0]]), 'fit')->day);
        self::assertSame('waits', self::states(self::weeks('waiting', 22, [[18, 0.0, 0.2], [22, 0.0, 0.0]]))['fit']);
        self::assertSame(10, self::weeks('waiting', 5, [[3, 0.0, 0.0]])->nextTest, 'weekly at first');
    }

    public function testGroupsStandAWeekApartAndWantAFreshTest(): void
    {
        $in = [new LoggedEvent(0, EventKind::Seed, 1.0), new LoggedEvent(16, EventKind::Stock, 10, 'a1')];
        $tests = [[1, 0.0, 0.0], [2, 0.0, 0.0], [17, 0.0, 0.0]];
        self::assertSame(
            23,
            self::gate(self::weeks('borrowed', 21, $tests, $in), 'group-a2')->day,
            'planned for day 20, but the first came on 16',
        );
        $stale = self::weeks('borrowed', 24, $tests, $in);
        self::assertSame('waits', self::states($stale)['group-a2']);
        self::assertStringContainsString('standing.stale(day: 17, days: 7)', Said::all(self::gate($stale, 'group-a2')->standing));
        self::assertStringContainsString('advice.old-test-do', self::advice($stale));
        self::assertSame('ready', self::states(self::weeks('borrowed', 24, [...$tests, [23, 0.0, 0.0]], $in))['group-a2']);
    }

    public function testWhoeverComesTooEarlyIsNotHidden(): void
    {
        $weeks = self::weeks('waiting', 6, [[5, 0.4, 0.0]], [new LoggedEvent(4, EventKind::Stock, 10, 'a1')]);
        self::assertSame('passed', self::states($weeks)['group-a1']);
        self::assertSame('gate.before-turn', Said::all(self::gate($weeks, 'group-a1')->standing));
        self::assertStringContainsString('advice.ammonia(', self::advice($weeks));
    }

    public function testWithoutAnimalsAmmoniaIsFood(): void
    {
        self::assertStringContainsString('advice.wait', self::advice(self::weeks('waiting', 6, [[5, 0.6, 0.0]])));
        self::assertStringContainsString('advice.change-half', self::advice(self::weeks('waiting', 6, [[5, 6.0, 0.0]])));
    }

    public function testItIsOverOnceAllIsQuiet(): void
    {
        $events = [
            new LoggedEvent(0, EventKind::Seed, 1.0),
            new LoggedEvent(2, EventKind::Stock, 10, 'a1'),
            new LoggedEvent(20, EventKind::Stock, 6, 'a2'),
            new LoggedEvent(20, EventKind::Feed, 0.05),
        ];
        $tests = [[1, 0.0, 0.0], [2, 0.0, 0.0], [20, 0.0, 0.0], [21, 0.0, 0.0], [24, 0.0, 0.0], [27, 0.0, 0.0]];
        $weeks = self::weeks('borrowed', 27, $tests, $events);
        self::assertTrue($weeks->over);
        self::assertNull($weeks->current());
        self::assertSame(57, $weeks->nextTest, 'a month on');
        self::assertSame([MarginState::Holds], array_map(static fn (Advice $a): MarginState => $a->state, $weeks->advice));
    }

    /** Of 0.3 mg N/L in 45.7 L to 0.1 is two thirds of it: two changes of 42 %. */
    public function testChangesAreInLitres(): void
    {
        $weeks = self::weeks(
            'borrowed',
            5,
            [[1, 0.0, 0.0], [2, 0.0, 0.0], [5, 0.3, 0.0]],
            [new LoggedEvent(0, EventKind::Seed, 1.0), new LoggedEvent(2, EventKind::Stock, 10, 'a1')],
        );
        self::assertStringContainsString('percent: '.round(100 * (1 - sqrt(1 / 3)), 4), self::advice($weeks));
        self::assertStringContainsString('times: 2', self::advice($weeks));
    }

    /** One bad test of three readings asks for one change: the largest of the three. */
    public function testOneChangeServesAllReadings(): void
    {
        $weeks = self::weeks(
            'borrowed',
            5,
            [[1, 0.0, 0.0], [2, 0.0, 0.0], [5, 0.3, 0.6, 12.0]],
            [new LoggedEvent(0, EventKind::Seed, 1.0), new LoggedEvent(2, EventKind::Stock, 10, 'a1')],
        );
        $words = self::advice($weeks);
        self::assertSame(1, preg_match_all('/advice\.(nitrate-)?change\(/', $words), $words);
        self::assertSame(2, substr_count($words, 'advice.served'));
        $offers = array_merge(...array_map(static fn (Advice $a): array => $a->offers, $weeks->advice));
        $changes = array_values(array_filter($offers, static fn (QuickEntry $o): bool => EventKind::Change === $o->kind));
        self::assertCount(1, $changes);
        // Nitrite of 0.6 to 0.03 mg N/L is 95 %, in five changes of 45 %: more than what ammonia or nitrate ask for.
        $alone = self::weeks(
            'borrowed',
            5,
            [[1, 0.0, 0.0], [2, 0.0, 0.0], [5, 0.0, 0.6]],
            [new LoggedEvent(0, EventKind::Seed, 1.0), new LoggedEvent(2, EventKind::Stock, 10, 'a1')],
        );
        $own = array_merge(...array_map(static fn (Advice $a): array => $a->offers, $alone->advice));
        $other = array_values(array_filter($own, static fn (QuickEntry $o): bool => EventKind::Change === $o->kind));
        self::assertSame($other[0]->amount, $changes[0]->amount);
    }

    public function testWhatWasDoneIsNotAskedForAgainAndFeedingGoesOn(): void
    {
        $events = [
            new LoggedEvent(0, EventKind::Seed, 1.0),
            new LoggedEvent(2, EventKind::Stock, 10, 'a1'),
            new LoggedEvent(5, EventKind::Change, 0.42),
            new LoggedEvent(5, EventKind::Feed, 0.0),
        ];
        $bad = [[1, 0.0, 0.0], [2, 0.0, 0.0], [5, 0.3, 0.0]];
        $weeks = self::weeks('borrowed', 5, $bad, $events);
        self::assertStringContainsString('advice.changed-since', self::advice($weeks));
        self::assertSame(
            ['button.melt-removed'],
            array_merge(
                ...array_map(
                    static fn (Advice $a): array => array_map(static fn (QuickEntry $o): string => $o->button->id, $a->offers),
                    $weeks->advice,
                ),
            ),
            'crypts melt; that is all that is left to do',
        );
        $worse = self::weeks('borrowed', 6, [...$bad, [6, 0.3, 0.0]], $events);
        self::assertStringContainsString('advice.change(', self::advice($worse), 'a new reading asks anew');
        $well = self::weeks('borrowed', 7, [...$bad, [7, 0.0, 0.0]], $events);
        self::assertStringContainsString('advice.feed-again', self::advice($well));
        self::assertSame(0.05, $well->advice[0]->offers[0]->amount);
    }

    public function testOneOfTwoTestsIsNotEnough(): void
    {
        $weeks = FirstWeeks::of(new TankToday(self::plan('waiting'), new Log([new Reading(20, Measure::Ammonia, 0.0)]), 21, TestKit::of()));
        self::assertStringContainsString('standing.one-of-two', Said::all(self::gate($weeks, 'fit')->standing));
        self::assertTrue($weeks->isTestDue());
    }

    /**
     * 60 % at first, 10 more a week: seen on day 12, the step of day 14 goes back from 70 to 60 %, and that stays the advice for the week
     * in which the look holds.
     */
    public function testAlgaeTakeTheLampBackAStep(): void
    {
        $plan = Sample::edit(self::plan('waiting'), ['light.startShare' => '60', 'light.stepShare' => '10']);
        $on = static fn (int $today): string => self::advice(
            FirstWeeks::of(new TankToday($plan, new Log([], [], [7 => false, 12 => true]), $today, TestKit::of())),
        );
        foreach ([12, 14, 16, 19] as $today) {
            self::assertStringContainsString('advice.dim(percent: 60,', $on($today), "day $today");
        }
        self::assertStringNotContainsString('Algae show', $on(20), 'a look holds for a week');
        self::assertStringNotContainsString('Algae show', $on(11), 'not seen yet');
    }

    public function testALampThatHasNoStepsToGoBackBurnsAnHourLess(): void
    {
        $weeks = FirstWeeks::of(new TankToday(self::plan('waiting'), new Log([], [], [3 => true]), 4, TestKit::of()));
        self::assertStringContainsString('advice.shorter', self::advice($weeks));
    }

    public function testWhatIsWrittenOfLaterDaysIsNotKnownYet(): void
    {
        $log = new Log(
            [new Reading(5, Measure::Ammonia, 0.4), new Reading(9, Measure::Ammonia, 0.0), new Reading(9, Measure::Nitrite, 0.0)],
            [new LoggedEvent(8, EventKind::Stock, 10, 'a1')],
            [9 => true],
        );
        $weeks = FirstWeeks::of(new TankToday(self::plan('plants'), $log, 6, TestKit::of()));
        self::assertSame('waits', self::states($weeks)['fit']);
        self::assertStringNotContainsString('advice.nitrite', self::advice($weeks));
        self::assertStringNotContainsString('advice.algae', self::advice($weeks));
    }

    public function testNitrateIsToldOfOnce(): void
    {
        $events = [new LoggedEvent(14, EventKind::Dose, 2.0), new LoggedEvent(30, EventKind::Dose, 2.0)];
        $tests = [[30, 0.0, 0.0], [31, 0.0, 0.0, 60 / 4.4266]];
        $weeks = self::weeks('dosing', 31, $tests, $events);
        self::assertStringContainsString('stocked: no', Said::all(self::gate($weeks, 'nitrate')->standing));
        self::assertEquals(self::gate($weeks, 'nitrate')->offer, $weeks->advice[0]->offers[0], 'the gate offers what is advised');
        $changed = self::weeks('dosing', 31, $tests, [...$events, new LoggedEvent(31, EventKind::Change, 0.5)]);
        self::assertNull(self::gate($changed, 'nitrate')->offer, 'changed already: test again');
        self::assertStringContainsString(
            'stocked: yes',
            self::advice(self::weeks('borrowed', 9, [[8, 0.0, 0.0, 60 / 4.4266]], [new LoggedEvent(2, EventKind::Stock, 10, 'a1')])),
        );
    }
}
