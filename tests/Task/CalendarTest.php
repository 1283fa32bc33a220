<?php

declare(strict_types=1);

namespace Olvek\Tests\Task;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Keeping\Care\Task;
use Olvek\Core\Planning\Steps\Step;
use Olvek\Page\Build\StepView;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Task\Calendar;
use Olvek\Service\Task\CalendarTask;
use Olvek\Service\Task\TaskMark;
use Olvek\Tests\PlainSpeech;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;
use Symfony\Component\Routing\Generator\UrlGenerator;
use Symfony\Component\Routing\RequestContext;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouteCollection;

/** Days, repeats and odd names in the calendar; times in words on the steps. */
final class CalendarTest extends TestCase
{
    /** @return list<VEvent> */
    private static function events(string $name, Task ...$tasks): array
    {
        $tank = new Tank(new Keeper('Runa', 'Runa'), $name, new \DateTimeImmutable('2026-05-01'));
        $calendar = Reader::read(
            self::calendar()->write(
                $tank,
                array_map(
                    static fn (Task $task): CalendarTask => new CalendarTask(
                        $tank,
                        $task,
                        new \DateTimeImmutable('2026-12-30'),
                        new \DateTimeImmutable('2026-05-01 10:00', new \DateTimeZone('Asia/Tokyo')),
                    ),
                    array_values($tasks),
                ),
            ),
        );

        return self::read($calendar);
    }

    private static function calendar(): Calendar
    {
        $routes = new RouteCollection();
        $routes->add('log', new Route('/tanks/{tank}/log'));

        return new Calendar(PlainSpeech::make(), new UrlGenerator($routes, new RequestContext()));
    }

    /** @return list<VEvent> */
    private static function read(mixed $calendar): array
    {
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());

        return array_values(array_filter($calendar->select('VEVENT'), static fn ($e): bool => $e instanceof VEvent));
    }

    /**
     * A weekly task that began on 1 May, in a calendar that begins on 1 July, between two of its days, 26 June and 3 July. What was
     * postponed from 26 June to a day before July is gone; postponed into July, it keeps its own day in the series.
     *
     * @param list<string> $starts
     * @param list<string> $replaced
     */
    #[TestWith(['2026-06-30', ['20260703'], []])]
    #[TestWith(['2026-07-01', ['20260626', '20260701'], ['20260626']])]
    public function testATaskThatIsPostponedFromBeforeTheCalendarBegins(string $to, array $starts, array $replaced): void
    {
        $filled = new \DateTimeImmutable('2026-05-01');
        $tank = new Tank(new Keeper('Runa', 'Runa'), 'Galley', $filled);
        $task = new CalendarTask($tank, new Task('t', 0, Message::text('Look'), 7), $filled, $filled);
        $mark = new TaskMark($tank, 't', '2026-06-26', new \DateTimeImmutable($to), false, null);
        $events = self::read(
            Reader::read(
                self::calendar()->shelf([$task], [$tank->id()->toRfc4122() => [$mark]], new \DateTimeImmutable('2026-07-01'), true),
            ),
        );
        self::assertSame($starts, array_map(static fn (VEvent $e): string => (string) $e->__get('DTSTART'), $events));
        $replacing = array_merge(...array_map(static fn (VEvent $e): array => $e->select('RECURRENCE-ID'), $events));
        self::assertSame($replaced, array_map(strval(...), $replacing));
    }

    public function testDaysPassTheYearsEnd(): void
    {
        $event = self::events('Galley', new Task('t', 3, Message::text('Test')))[0];
        self::assertSame('20270102', (string) $event->__get('DTSTART'));
        self::assertSame('20260501T010000Z', (string) $event->__get('DTSTAMP'), 'in universal time');
    }

    public function testRepeatsEndOnTheLastDayOnWhichTheyMayFall(): void
    {
        [$often, $open] = self::events(
            'Galley',
            new Task('a', 1, Message::text('Test'), 3, 28),
            new Task('b', 7, Message::text('Look'), 7),
        );
        self::assertSame('FREQ=DAILY;INTERVAL=3;UNTIL=20270127', (string) $often->__get('RRULE'));
        self::assertSame('FREQ=DAILY;INTERVAL=7', (string) $open->__get('RRULE'));
    }

    /** A task of day 1, each third day, to day 28; and the same once. */
    #[TestWith(['2026-05-01', 3, '2026-05-02'])]
    #[TestWith(['2026-05-02', 3, '2026-05-02'])]
    #[TestWith(['2026-05-03', 3, '2026-05-05'])]
    #[TestWith(['2026-05-29', 3, '2026-05-29'])]
    #[TestWith(['2026-05-30', 3, null])]
    #[TestWith(['2026-05-02', 0, '2026-05-02'])]
    #[TestWith(['2026-05-03', 0, null])]
    public function testItsFirstTimeThatIsNotBeforeADay(string $from, int $every, ?string $first): void
    {
        $filled = new \DateTimeImmutable('2026-05-01');
        $tank = new Tank(new Keeper('Runa', 'Runa'), 'Galley', $filled);
        $task = new CalendarTask($tank, new Task('t', 1, Message::text('Test'), $every, 28), $filled, $filled);
        self::assertSame($first, $task->firstFrom(new \DateTimeImmutable($from))?->format('Y-m-d'));
    }

    /** Commas, semicolons, line breaks and long names of any letters come through; nothing in a name becomes a line of its own. */
    #[TestWith(['Nook; shelf, left'])]
    #[TestWith(['Ærøskøbing – 水草の水槽'])]
    #[TestWith(['x\\nBEGIN:VALARM'])]
    #[TestWith(['A name so long that a line of the calendar must be folded in its midst to be read'])]
    public function testNamesComeThrough(string $name): void
    {
        self::assertSame("$name: Look", (string) self::events($name, new Task('l', 7, Message::text('Look')))[0]->__get('SUMMARY'));
    }

    #[TestWith([15, 0.0, '15 min'])]
    #[TestWith([15, 0.5, '15 min, then wait 30 min'])]
    #[TestWith([20, 24.0, '20 min, then wait 24 h'])]
    #[TestWith([15, 336.0, '15 min, then wait 14 days'])]
    #[TestWith([120, 1.0, '2 h, then wait 1 h'])]
    public function testTimesInWords(int $minutes, float $wait, string $words): void
    {
        $text = Message::text('Step');
        $step = new Step('s', $text, $text, $text, minutes: $minutes, wait: $wait);
        self::assertSame($words, (new StepView($step, null, false, null))->time());
    }
}
