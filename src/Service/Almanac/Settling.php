<?php

declare(strict_types=1);

namespace Olvek\Service\Almanac;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Service\Account\Today;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Task\TaskMark;
use Olvek\Service\Task\Tasks;

/** Marks what is due as done or left out, or puts it off, and writes that into the logbook. */
final readonly class Settling
{
    public function __construct(
        private EntityManagerInterface $entities,
        private TankRepository $tanks,
        private Tasks $tasks,
        private Logbook $logbook,
        private Today $today,
        private Saver $saver,
    ) {
    }

    /** Done or left out: it is not asked for again, and the logbook says so. False where another window was faster. */
    public function settle(Due $due, bool $done): bool
    {
        $does = $done ? $this->does($due) : null;
        $entry = $this->logbook->write(
            $due->tank,
            $this->today->of($due->tank->keeper),
            $does->kind ?? EventKind::Task,
            $does->amount ?? 0.0,
            null === $does ? $due->task : $does->of,
            ($due->isNotice() ? 'Noted: ' : ($done ? '' : 'Left out: ')).$due->words,
        );

        return $this->mark($due, null, true, $entry);
    }

    /** What a task that is done counts as in the logbook. */
    private function does(Due $due): ?LoggedEvent
    {
        $filled = $due->tank->filledOn();
        foreach ($this->tasks->of($this->tanks->head($due->tank), $filled) as $task) {
            if ($task->id === $due->task) {
                return $task->does;
            }
        }

        return null;
    }

    /** Puts it off to another day and logs that. False where another window was faster. */
    public function move(Due $due, \DateTimeImmutable $to): bool
    {
        $entry = $this->logbook->write(
            $due->tank,
            $this->today->of($due->tank->keeper),
            EventKind::Task,
            0.0,
            $due->task,
            \sprintf('Put off to %s: %s', $to->format('j F'), $due->words),
        );

        return $this->mark($due, $to, false, $entry);
    }

    private function mark(Due $due, ?\DateTimeImmutable $to, bool $settled, Entry $entry): bool
    {
        $key = ['tank' => $due->tank->id(), 'task' => $due->task, 'due' => $due->due->format('Y-m-d')];
        $mark = $this->entities->find(TaskMark::class, $key);
        if (true === $mark?->settled) {
            $this->entities->detach($entry);

            return false;
        }
        if (null === $mark) {
            $this->entities->persist(new TaskMark($due->tank, $due->task, $key['due'], $to, $settled, $entry->id));
        } else {
            $mark->moved = $to;
            $mark->settled = $settled;
            $mark->entry = $entry->id;
        }
        try {
            $this->saver->flush();
        } catch (ConcurrentChange) {
            return false;
        }

        return true;
    }
}
