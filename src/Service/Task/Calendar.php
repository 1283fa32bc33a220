<?php

declare(strict_types=1);

namespace Olvek\Service\Task;

use Olvek\Service\Speech\Speech;
use Olvek\Service\Tank\Tank;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** What tanks ask for, as iCalendar (RFC 5545, and RFC 7986 for how often to look again). */
final readonly class Calendar
{
    /** How often a program that has subscribed should look again. J: tasks fall on days. */
    private const REFRESH = 'PT6H';

    public function __construct(private Speech $speech, private UrlGeneratorInterface $urls)
    {
    }

    /**
     * One tank's, as planned.
     *
     * @param list<CalendarTask> $tasks
     */
    public function write(Tank $tank, array $tasks): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Olvek//care//EN', 'X-WR-CALNAME' => $tank->name()]);
        foreach ($tasks as $task) {
            $this->add($calendar, $task, [], $task->date($task->task->day), true);
        }

        return $calendar->serialize();
    }

    /**
     * A whole shelf's, starting on a given day: tasks that were done or left out are missing, postponed ones stand on their new day.
     *
     * @param list<CalendarTask>            $tasks
     * @param array<string, list<TaskMark>> $marks  by tank
     * @param bool                           $linked whether each event leads back to its tank; not where the file may end up elsewhere
     */
    public function shelf(array $tasks, array $marks, \DateTimeImmutable $from, bool $linked): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Olvek//almanac//EN', 'X-WR-CALNAME' => 'Olvek', 'X-PUBLISHED-TTL' => self::REFRESH]);
        $calendar->add('REFRESH-INTERVAL', self::REFRESH, ['VALUE' => 'DURATION']);
        foreach ($tasks as $task) {
            $own = array_values(
                array_filter(
                    $marks[$task->tank->id()->toRfc4122()] ?? [],
                    static fn (TaskMark $m): bool => $m->task === $task->task->id,
                ),
            );
            0 === $task->task->every
                ? $this->once($calendar, $task, $own, $from, $linked)
                : $this->again($calendar, $task, $own, $from, $linked);
        }

        return $calendar->serialize();
    }

    /** @param list<TaskMark> $marks of this task */
    private function once(VCalendar $calendar, CalendarTask $task, array $marks, \DateTimeImmutable $from, bool $linked): void
    {
        $on = $task->date($task->task->day);
        foreach ($marks as $mark) {
            if ($mark->settled) {
                return;
            }
            $on = $mark->moved ?? $on;
        }
        if ($on >= $from) {
            $this->add($calendar, $task, [], $on, $linked);
        }
    }

    /** @param list<TaskMark> $marks of this task */
    private function again(VCalendar $calendar, CalendarTask $task, array $marks, \DateTimeImmutable $from, bool $linked): void
    {
        foreach ($marks as $mark) {
            // A postponed task that is still ahead needs its original day within the series.
            if (!$mark->settled && $mark->moved >= $from) {
                $from = min($from, new \DateTimeImmutable($mark->due, $from->getTimezone()));
            }
        }
        $first = $task->firstFrom($from);
        if (null === $first) {
            return;
        }
        $date = $first->format('Y-m-d');
        $ahead = array_values(array_filter($marks, static fn (TaskMark $m): bool => $m->due >= $date));
        $this->add($calendar, $task, $ahead, $first, $linked);
    }

    /** @param list<TaskMark> $marks of this task's times from the first on */
    private function add(VCalendar $calendar, CalendarTask $task, array $marks, \DateTimeImmutable $first, bool $linked): void
    {
        $event = $this->event($calendar, $task, $first, $linked);
        if ($task->task->every > 0) {
            $until = null === $task->task->until ? '' : ';UNTIL='.$task->date($task->task->until)->format('Ymd');
            $event->add('RRULE', \sprintf('FREQ=DAILY;INTERVAL=%d%s', $task->task->every, $until));
        }
        $calendar->add($event);
        foreach ($marks as $mark) {
            $due = str_replace('-', '', $mark->due);
            if ($mark->settled || null === $mark->moved) {
                $event->add('EXDATE', $due, ['VALUE' => 'DATE']);
                continue;
            }
            $moved = $this->event($calendar, $task, $mark->moved, $linked);
            $moved->add('RECURRENCE-ID', $due, ['VALUE' => 'DATE']);
            $calendar->add($moved);
        }
    }

    private function event(VCalendar $calendar, CalendarTask $task, \DateTimeImmutable $on, bool $linked): Component
    {
        $tank = $task->tank;
        $event = $calendar->createComponent('VEVENT', [
            'UID' => $task->uid(),
            'SUMMARY' => $tank->name().': '.$this->speech->say($task->task->message, $tank->keeper->units()),
            'CATEGORIES' => $tank->name(),
            'TRANSP' => 'TRANSPARENT',
        ]);
        $event->remove('DTSTAMP');
        // When it was last revised (RFC 5545, 3.8.7.2), not when it was sent: what has not changed is the same text tomorrow.
        $changed = $task->changed->setTimezone(new \DateTimeZone('UTC'));
        $event->add('DTSTAMP', $changed);
        $event->add('LAST-MODIFIED', $changed);
        $event->add('DTSTART', $on->format('Ymd'), ['VALUE' => 'DATE']);
        if ($linked) {
            $event->add('URL', $this->urls->generate('log', ['tank' => $tank->id()], UrlGeneratorInterface::ABSOLUTE_URL));
        }

        return $event;
    }
}
