<?php

declare(strict_types=1);

namespace Olvek\Task;

use Olvek\Core\Care\Task;
use Olvek\Tank\Tank;
use Psr\Clock\ClockInterface;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;

/** What tanks ask for, as iCalendar (RFC 5545). */
final readonly class Calendar
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * One tank's, as planned.
     *
     * @param list<Task>         $tasks
     * @param \DateTimeImmutable $filled day of filling
     */
    public function write(Tank $tank, array $tasks, \DateTimeImmutable $filled): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Olvek//care//EN', 'X-WR-CALNAME' => $tank->name()]);
        foreach ($tasks as $task) {
            $this->add($calendar, $tank, $task, $filled, []);
        }

        return $calendar->serialize();
    }

    /**
     * A whole shelf's: what was done or left out is gone from it, what was put off stands where it was put.
     *
     * @param list<array{Tank, Task, \DateTimeImmutable}> $all   each with its tank and that one's day of filling
     * @param array<string, array<string, TaskMark>>      $marks by tank, and by task and day
     */
    public function shelf(array $all, array $marks): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Olvek//almanac//EN', 'X-WR-CALNAME' => 'Olvek']);
        foreach ($all as [$tank, $task, $filled]) {
            $own = array_filter($marks[$tank->id()->toRfc4122()] ?? [], static fn (TaskMark $m): bool => $m->task === $task->id);
            $this->add($calendar, $tank, $task, $filled, array_values($own));
        }

        return $calendar->serialize();
    }

    /** @param list<TaskMark> $marks of this task */
    private function add(VCalendar $calendar, Tank $tank, Task $task, \DateTimeImmutable $filled, array $marks): void
    {
        $first = $filled->modify("+$task->day days");
        $uid = $tank->id()->toRfc4122().'.'.$task->id.'@olvek';
        $words = $tank->name().': '.$task->words;
        if (0 === $task->every) {
            foreach ($marks as $mark) {
                if ($mark->settled) {
                    return;
                }
                $first = $mark->moved ?? $first;
            }
        }
        $event = $this->event($calendar, $uid, $words, $first);
        if ($task->every > 0) {
            $event->add(
                'RRULE',
                \sprintf('FREQ=DAILY;INTERVAL=%d', $task->every).
                    (null === $task->until ? '' : ';UNTIL='.$filled->modify("+$task->until days")->format('Ymd')),
            );
            foreach ($marks as $mark) {
                $event->add('EXDATE', str_replace('-', '', $mark->due), ['VALUE' => 'DATE']);
                if (!$mark->settled && null !== $mark->moved) {
                    $calendar->add($this->event($calendar, $tank->id()->toRfc4122().".$task->id.$mark->due@olvek", $words, $mark->moved));
                }
            }
        }
        $calendar->add($event);
    }

    private function event(VCalendar $calendar, string $uid, string $words, \DateTimeImmutable $on): Component
    {
        $event = $calendar->createComponent('VEVENT', ['UID' => $uid, 'SUMMARY' => $words, 'TRANSP' => 'TRANSPARENT']);
        $event->remove('DTSTAMP');
        // The day, not the second: whoever asks again on the same day is told that nothing has changed.
        $event->add('DTSTAMP', $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->setTime(0, 0));
        $event->add('DTSTART', $on->format('Ymd'), ['VALUE' => 'DATE']);

        return $event;
    }
}
