<?php

declare(strict_types=1);

namespace Olvek\Service\Task;

use Olvek\Core\Keeping\Care\Task;
use Olvek\Service\Speech\Speech;
use Olvek\Service\Tank\Tank;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;

/** What tanks ask for, as iCalendar (RFC 5545). */
final readonly class Calendar
{
    public function __construct(private Speech $speech)
    {
    }

    /**
     * One tank's, as planned.
     *
     * @param list<Task>         $tasks
     * @param \DateTimeImmutable $filled  day of filling
     * @param \DateTimeImmutable $changed when the plan was last changed
     */
    public function write(Tank $tank, array $tasks, \DateTimeImmutable $filled, \DateTimeImmutable $changed): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Olvek//care//EN', 'X-WR-CALNAME' => $tank->name()]);
        foreach ($tasks as $task) {
            $this->add($calendar, $tank, $task, $filled, $changed, []);
        }

        return $calendar->serialize();
    }

    /**
     * A whole shelf's: what was done or left out is gone from it, what was put off stands where it was put.
     *
     * @param list<array{Tank, Task, \DateTimeImmutable, \DateTimeImmutable}> $all   each with its tank, that one's day of filling, and when
     *                                                                            its plan was last changed
     * @param array<string, array<string, TaskMark>>                           $marks by tank, and by task and day
     */
    public function shelf(array $all, array $marks): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Olvek//almanac//EN', 'X-WR-CALNAME' => 'Olvek']);
        foreach ($all as [$tank, $task, $filled, $changed]) {
            $own = array_filter($marks[$tank->id()->toRfc4122()] ?? [], static fn (TaskMark $m): bool => $m->task === $task->id);
            $this->add($calendar, $tank, $task, $filled, $changed, array_values($own));
        }

        return $calendar->serialize();
    }

    /** @param list<TaskMark> $marks of this task */
    private function add(
        VCalendar $calendar,
        Tank $tank,
        Task $task,
        \DateTimeImmutable $filled,
        \DateTimeImmutable $changed,
        array $marks,
    ): void {
        $first = $filled->modify("+$task->day days");
        $uid = $tank->id()->toRfc4122().'.'.$task->id.'@olvek';
        $words = $tank->name().': '.$this->speech->say($task->message, $tank->keeper->units());
        if (0 === $task->every) {
            foreach ($marks as $mark) {
                if ($mark->settled) {
                    return;
                }
                $first = $mark->moved ?? $first;
            }
        }
        $event = self::event($calendar, $uid, $words, $first, $changed);
        if ($task->every > 0) {
            $event->add(
                'RRULE',
                \sprintf('FREQ=DAILY;INTERVAL=%d', $task->every).
                    (null === $task->until ? '' : ';UNTIL='.$filled->modify("+$task->until days")->format('Ymd')),
            );
            foreach ($marks as $mark) {
                $event->add('EXDATE', str_replace('-', '', $mark->due), ['VALUE' => 'DATE']);
                if (!$mark->settled && null !== $mark->moved) {
                    $uid = $tank->id()->toRfc4122().".$task->id.$mark->due@olvek";
                    $calendar->add(self::event($calendar, $uid, $words, $mark->moved, $changed));
                }
            }
        }
        $calendar->add($event);
    }

    private static function event(
        VCalendar $calendar,
        string $uid,
        string $words,
        \DateTimeImmutable $on,
        \DateTimeImmutable $changed,
    ): Component {
        $event = $calendar->createComponent('VEVENT', ['UID' => $uid, 'SUMMARY' => $words, 'TRANSP' => 'TRANSPARENT']);
        $event->remove('DTSTAMP');
        // When it was last revised (RFC 5545, 3.8.7.2), not when it was sent: what has not changed is the same text tomorrow.
        $event->add('DTSTAMP', $changed->setTimezone(new \DateTimeZone('UTC')));
        $event->add('DTSTART', $on->format('Ymd'), ['VALUE' => 'DATE']);

        return $event;
    }
}
