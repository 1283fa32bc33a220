<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Log;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\Stock;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** How many of each there are, as last counted, with what came and went since. */
final class StockTest extends TestCase
{
    /**
     * @param list<LoggedEvent> $events
     * @param list<Reading>     $readings
     */
    private static function heads(array $events, array $readings = [], int $today = 100): ?int
    {
        $plan = Sample::planted();

        return (new Stock($plan, new Log($readings, $events), $today))->heads($plan->groups[0]);
    }

    public function testAnimalsAreCountedFromTheLastCountOn(): void
    {
        $events = [
            new LoggedEvent(30, EventKind::Stock, 10, 'a1'),
            new LoggedEvent(40, EventKind::Lost, 2, 'a1'),
            new LoggedEvent(50, EventKind::TakeOut, 3, 'a1'),
            new LoggedEvent(55, EventKind::Stock, 99, 'other'),
        ];
        self::assertSame(5, self::heads($events));
        self::assertSame(8, self::heads($events, today: 49));
        self::assertSame(21, self::heads($events, [new Reading(45, Measure::Heads, 24.0, 'a1')]));
        // A count on the day of a loss was made after it.
        self::assertSame(4, self::heads($events, [new Reading(50, Measure::Heads, 4.0, 'a1')]));
        self::assertSame(0, self::heads([...$events, new LoggedEvent(60, EventKind::Lost, 9, 'a1')]));
    }

    public function testWhereNothingIsWrittenDownThePlanIsBelieved(): void
    {
        $day = Sample::planted()->groups[0]->day;
        self::assertSame(10, self::heads([], today: $day));
        self::assertNull(self::heads([], today: $day - 1));
        self::assertSame(9, self::heads([new LoggedEvent($day, EventKind::Lost, 1, 'a1')], today: $day));
    }

    /**
     * @param list<LoggedEvent> $events
     * @param list<Reading>     $readings
     */
    private static function pieces(array $events, array $readings = []): ?int
    {
        $plan = Sample::planted();

        return (new Stock($plan, new Log($readings, $events), 100))->pieces($plan->clumps[0]);
    }

    public function testPlantsAreCountedByPieces(): void
    {
        $plan = Sample::planted();
        self::assertSame(40, self::pieces([]));
        self::assertSame(45, self::pieces([new LoggedEvent(50, EventKind::Plant, 5, 'c1')]));
        self::assertSame(
            25,
            self::pieces([new LoggedEvent(50, EventKind::Plant, 5, 'c1')], [new Reading(40, Measure::Pieces, 20.0, 'c1')]),
        );
        self::assertSame(
            0,
            self::pieces([new LoggedEvent(50, EventKind::Remove, 0, 'c1')], [new Reading(50, Measure::Pieces, 20.0, 'c1')]),
        );
        self::assertSame(7, self::pieces([new LoggedEvent(50, EventKind::Remove, 0, 'c1')], [new Reading(51, Measure::Pieces, 7.0, 'c1')]));
        $later = Sample::edit($plan, ['plants.c1.day' => '101']);
        self::assertNull((new Stock($later, new Log(), 100))->pieces($later->clumps[0]));
        self::assertSame([1, 2], [\count((new Stock($plan, new Log(), 1))->groups()), \count((new Stock($plan, new Log(), 1))->clumps())]);
    }

    public function testMoneyIsAddedUp(): void
    {
        $spent = static fn (float $money): LoggedEvent => new LoggedEvent(5, EventKind::Task, $money, LogAction::SPENT);
        $log = new Log([], [$spent(12.5), $spent(7.0), new LoggedEvent(5, EventKind::Task, 3.0, LogAction::TOPPED)]);
        self::assertSame(19.5, (new Stock(Sample::planted(), $log, 10))->spent());
    }
}
