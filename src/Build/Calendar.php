<?php

declare(strict_types=1);

namespace Olvek\Build;

use Olvek\Core\Build\Task;
use Olvek\Shelf\Tank;
use Psr\Clock\ClockInterface;
use Sabre\VObject\Component\VCalendar;

/** A tank's care as an iCalendar file. */
final readonly class Calendar
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * @param list<Task>         $tasks
     * @param \DateTimeImmutable $filled day of filling
     */
    public function write(Tank $tank, array $tasks, \DateTimeImmutable $filled): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Olvek//care//EN', 'X-WR-CALNAME' => $tank->name()]);
        foreach ($tasks as $task) {
            $first = $filled->modify("+$task->day days");
            $event = $calendar->createComponent('VEVENT', [
                'UID' => $tank->id()->toRfc4122().'.'.$task->id.'@olvek',
                'SUMMARY' => $tank->name().': '.$task->words,
                'TRANSP' => 'TRANSPARENT',
            ]);
            $event->remove('DTSTAMP');
            $event->add('DTSTAMP', $this->clock->now()->setTimezone(new \DateTimeZone('UTC')));
            $event->add('DTSTART', $first->format('Ymd'), ['VALUE' => 'DATE']);
            if ($task->every > 0) {
                $event->add('RRULE', \sprintf('FREQ=DAILY;INTERVAL=%d', $task->every).(null === $task->until ? '' : ';UNTIL='.$filled->modify("+$task->until days")->format('Ymd')));
            }
            $calendar->add($event);
        }

        return $calendar->serialize();
    }
}
