<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Start;

use Olvek\Core\Judgement\Start\Expected;
use Olvek\Core\Judgement\Start\FirstWeeks;
use Olvek\Core\Judgement\Start\Gate;
use Olvek\Core\Judgement\Start\TankToday;
use Olvek\Core\Keeping\Fitting\Forecast;
use Olvek\Core\Keeping\Fitting\Member;
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

/** When groups may be expected: by the forecast where the water decides, by the gates' own days where it does not. */
final class ExpectedTest extends TestCase
{
    private static function plan(string $way): Plan
    {
        return Sample::edit(Sample::planted(), [
            'start.way' => $way,
            'animals.a1.day' => '4',
            'animals.add' => 'neocaridina-davidi',
            'animals.a2.day' => '20',
        ]);
    }

    /**
     * Tanks whose water reads nothing from these days on; null for never.
     *
     * @param non-empty-list<int|null> $quietFrom
     */
    private static function forecast(array $quietFrom): Forecast
    {
        return Forecast::of(
            array_map(
                static fn (?int $from): Member => new Member(
                    [
                        Measure::Ammonia->value => array_map(
                            static fn (int $day): float => null !== $from && $day >= $from ? 0.0 : 1.0,
                            range(0, 59),
                        ),
                        Measure::Nitrite->value => array_fill(0, 60, 0.0),
                        Measure::Nitrate->value => array_fill(0, 60, 1.0),
                    ],
                    0.0,
                ),
                $quietFrom,
            ),
            false,
        );
    }

    /** @param list<LoggedEvent> $events */
    private static function situation(string $way, int $today, array $events = [], bool $quiet = false): TankToday
    {
        $readings = [new Reading($today, Measure::Ammonia, $quiet ? 0.0 : 0.6), new Reading($today, Measure::Nitrite, 0.0)];

        return new TankToday(self::plan($way), new Log($readings, $events), $today, TestKit::of());
    }

    /** @return list<string> */
    private static function words(TankToday $situation, Forecast $forecast): array
    {
        return array_map(static fn (Expected $e): string => Said::plain($e->message()), Expected::of($situation, $forecast));
    }

    /** One, five and nine of ten tanks are quiet by days 10, 14 and 26; the second group comes a week after the first. */
    public function testTheWaterDecides(): void
    {
        $forecast = self::forecast([10, 12, 12, 14, 14, 20, 20, 26, 26, 40]);
        self::assertSame(
            [
                'expected.range(day: 14, early: 10, late: 26, moves: yes, planned: 4)',
                'expected.range(day: 21, early: 20, late: 33, moves: yes, planned: 20)',
            ],
            self::words(self::situation('plants', 6), $forecast),
        );
    }

    public function testWaitingAddsItsOwnDays(): void
    {
        self::assertSame(
            ['expected.day(day: 21, moves: yes, planned: 4)', 'expected.day(day: 28, moves: yes, planned: 20)'],
            self::words(self::situation('waiting', 6), self::forecast([8, 8, 8])),
            'three weeks, however quiet',
        );
        self::assertSame(
            ['expected.day(day: 33, moves: yes, planned: 4)', 'expected.day(day: 40, moves: yes, planned: 20)'],
            self::words(self::situation('waiting', 6), self::forecast([30, 30, 30])),
            'two tests, three days apart',
        );
    }

    public function testADoseThatWasNotGivenCannotBeForetold(): void
    {
        self::assertSame(
            ['expected.unknown(planned: 4)', 'expected.unknown(planned: 20)'],
            self::words(self::situation('dosing', 6), self::forecast([8, 8])),
        );
        self::assertSame(
            'expected.range(day: 21, early: 21, late: 26, moves: yes, planned: 4)',
            self::words(self::situation('dosing', 16, [new LoggedEvent(14, EventKind::Dose, 2.0)]), self::forecast([18, 18, 25]))[0],
        );
    }

    public function testTanksThatNeverComeToItAreSaid(): void
    {
        self::assertSame(
            'expected.open(day: 12, early: 9, moves: yes, planned: 4)',
            self::words(self::situation('plants', 6), self::forecast([9, 12, null]))[0],
        );
        self::assertSame(
            'expected.unknown(planned: 4)',
            self::words(self::situation('plants', 6), self::forecast([null, null, null]))[0],
        );
    }

    public function testWhoIsInIsInAndTheNextKeepsTheirDay(): void
    {
        $situation = self::situation('plants', 9, [new LoggedEvent(5, EventKind::Stock, 10, 'a1')], true);
        self::assertSame(
            ['expected.in(day: 5)', 'expected.day(day: 20, moves: no, planned: 20)'],
            self::words($situation, self::forecast([9, 9])),
        );
    }

    /** What the forecast says of a group is never earlier than its gate, and where only days are missing, the same. */
    public function testForecastAndGatesAgree(): void
    {
        foreach (['plants' => [], 'borrowed' => [new LoggedEvent(0, EventKind::Seed, 1.0)], 'waiting' => []] as $way => $events) {
            foreach ([[], [new LoggedEvent(5, EventKind::Stock, 10, 'a1')]] as $came) {
                $situation = self::situation($way, 12, [...$events, ...$came], true);
                $gates = array_column(array_map(static fn (Gate $g): array => [$g->id, $g->day], FirstWeeks::of($situation)->gates), 1, 0);
                foreach (Expected::of($situation, self::forecast([12, 12])) as $expected) {
                    self::assertGreaterThanOrEqual($gates["group-{$expected->group->id}"], $expected->likely, $way);
                }
            }
        }
    }
}
