<?php

declare(strict_types=1);

namespace Olvek\Service\Task;

use Olvek\Core\Keeping\Care\Task;
use Olvek\Service\Tank\Tank;

/** A task of a tank as a calendar needs it. */
final readonly class CalendarTask
{
    /**
     * @param \DateTimeImmutable $filled  day of filling
     * @param \DateTimeImmutable $changed when the plan was last changed
     */
    public function __construct(public Tank $tank, public Task $task, public \DateTimeImmutable $filled, public \DateTimeImmutable $changed)
    {
    }

    /** The same for good, so that a program knows it again. */
    public function uid(): string
    {
        return $this->tank->id()->toRfc4122().'.'.$this->task->id.'@olvek';
    }

    /** A day after filling as a date. */
    public function date(int $day): \DateTimeImmutable
    {
        return $this->filled->modify("+$day days");
    }

    /** Its first time that isn't before a day; null where there is none. */
    public function firstFrom(\DateTimeImmutable $from): ?\DateTimeImmutable
    {
        $task = $this->task;
        $ahead = (int) $this->filled->diff($from)->format('%r%a') - $task->day;
        if ($ahead <= 0) {
            return $this->date($task->day);
        }
        if (0 === $task->every) {
            return null;
        }
        $day = $task->day + $task->every * intdiv($ahead + $task->every - 1, $task->every);

        return null !== $task->until && $day > $task->until ? null : $this->date($day);
    }
}
