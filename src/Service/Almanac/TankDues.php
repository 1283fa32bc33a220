<?php

declare(strict_types=1);

namespace Olvek\Service\Almanac;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Start\FirstWeeks;
use Olvek\Core\Judgement\Start\GateState;
use Olvek\Core\Keeping\Care\Task;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Speech\Speech;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Task\TaskMark;
use Olvek\Service\Task\Tasks;
use Olvek\Service\Weeks\Situations;

/** What one tank asks for, by its plan's care, its start and what was tried. */
final readonly class TankDues
{
    /** Days ahead that are shown. */
    public const AHEAD = 21;
    /** Days for which something that was not done is still asked about. J: what nobody did for two weeks was not meant to be done. */
    public const LATE = 14;
    /**
     * Route of the page where a start’s gates are asked about, and its test, which falls on its day; gates are due on every day on which
     * they stand open.
     */
    public const START = 'weeks';
    public const TEST = 'weeks-test';
    /**
     * Days in which the start's gates, not the plan's calendar, say what to test and who may come, even where nothing has been tested. J.
     */
    private const STARTING = 120;

    public function __construct(
        private TankRepository $tanks,
        private Tasks $tasks,
        private Situations $situations,
        private Knowledge $knowledge,
        private Speech $speech,
    ) {
    }

    /**
     * What one tank asks for.
     *
     * @param array<string, TaskMark> $marks
     *
     * @return list<Due> late and ahead, in no order
     */
    public function of(Tank $tank, Keeper $keeper, \DateTimeImmutable $filled, \DateTimeImmutable $today, array $marks): array
    {
        $situation = $this->situations->of($tank, $keeper);
        // Whoever tests is asked for the next test by the last one; whoever has never done so, by the calendar.
        $own = null !== $situation && ($situation->today <= self::STARTING || null !== $situation->lastTest());
        $due = $own ? $this->start($tank, FirstWeeks::of($situation), $filled, $today) : [];
        array_push($due, ...$this->again($tank, $situation->log ?? new Log(), $filled, $today));
        foreach ($this->tasks->of($this->tanks->head($tank), $filled) as $task) {
            if (!$own || !$task->start) {
                array_push($due, ...$this->times($tank, $task, $filled, $today, $marks, $situation->log ?? new Log()));
            }
        }

        return $due;
    }

    /**
     * What was tried against a sign, and is to be looked at again.
     *
     * @return list<Due>
     */
    private function again(Tank $tank, Log $log, \DateTimeImmutable $filled, \DateTimeImmutable $today): array
    {
        $due = [];
        foreach ($log->attempts as $attempt) {
            $cause = $this->knowledge->causes[$attempt->cause] ?? null;
            $on = $filled->modify("+$attempt->look days");
            $late = Today::between($on, $today);
            if (null !== $cause && null === $attempt->came && $late <= self::LATE && $late >= -self::AHEAD) {
                $words = \sprintf('Is it better? %s: %s', $attempt->sign->words(), Words::small($cause->words));
                $task = "again-{$attempt->sign->value}-$attempt->cause";
                $due[] = new Due($tank, $task, $words, $on, $on, max(0, $late), false, 'read');
            }
        }

        return $due;
    }

    /**
     * @param array<string, TaskMark> $marks by task and day
     * @param Log                     $log   what was done counts, on whatever page it was written down
     *
     * @return list<Due>
     */
    private function times(
        Tank $tank,
        Task $task,
        \DateTimeImmutable $filled,
        \DateTimeImmutable $today,
        array $marks,
        Log $log,
    ): array {
        $days = $task->around(Today::between($filled, $today));
        foreach ($marks as $mark) {
            // What was put off is asked for on its new day, however often the task has come since.
            if ($mark->task === $task->id && !$mark->settled) {
                $days[] = Today::between($filled, new \DateTimeImmutable($mark->due, new \DateTimeZone('UTC')));
            }
        }
        $times = [];
        $words = $this->speech->say($task->message, $tank->keeper->units());
        foreach (array_unique($days) as $day) {
            $due = $filled->modify("+$day days");
            $mark = $marks[$task->id.' '.$due->format('Y-m-d')] ?? null;
            $on = $mark->moved ?? $due;
            $late = Today::between($on, $today);
            if (true !== $mark?->settled && $late <= self::LATE && $late >= -self::AHEAD && !$task->isDone($log, $day)) {
                $times[] = new Due($tank, $task->id, $words, $due, $on, max(0, $late), null !== $mark, every: $task->every);
            }
        }

        return $times;
    }

    /** @return list<Due> what the gates of a start ask for */
    private function start(Tank $tank, FirstWeeks $weeks, \DateTimeImmutable $filled, \DateTimeImmutable $today): array
    {
        $on = $filled->modify("+$weeks->nextTest days");
        $due =
            Today::between($today, $on) > self::AHEAD
                ? []
                : [
                    new Due(
                        $tank,
                        self::TEST,
                        'Test '.implode(', ', array_map(static fn ($m): string => $m->label(), $weeks->measures)),
                        $on,
                        $on,
                        max(0, Today::between($on, $today)),
                        false,
                        self::START,
                    ),
                ];
        foreach ($weeks->gates as $gate) {
            if (GateState::Ready === $gate->state) {
                $due[] = new Due(
                    $tank,
                    "weeks-$gate->id",
                    $this->speech->say(new Message('due.gate', ['gate' => $gate->name]), $tank->keeper->units()),
                    $today,
                    $today,
                    0,
                    false,
                    self::START,
                );
            }
        }

        return $due;
    }
}
