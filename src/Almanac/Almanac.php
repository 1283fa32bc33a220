<?php

declare(strict_types=1);

namespace Olvek\Almanac;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Account\Keeper;
use Olvek\Account\Today;
use Olvek\Build\BuildRecords;
use Olvek\Core\Care\Task;
use Olvek\Core\Event\EventKind;
use Olvek\Core\Log\Log;
use Olvek\Core\Log\LoggedEvent;
use Olvek\Core\Sign\Knowledge;
use Olvek\Core\Start\FirstWeeks;
use Olvek\Core\Start\GateState;
use Olvek\Core\TimeLimit\TimeLimit;
use Olvek\Core\Unit\Words;
use Olvek\Log\Entry;
use Olvek\Log\Logbook;
use Olvek\Read\Notices;
use Olvek\Site\ConcurrentChange;
use Olvek\Site\ResultCache;
use Olvek\Site\Saver;
use Olvek\Tank\Tank;
use Olvek\Tank\TankRepository;
use Olvek\Task\Calendar;
use Olvek\Task\TaskMark;
use Olvek\Task\TaskMarkRepository;
use Olvek\Task\Tasks;
use Olvek\Weeks\WeeksPage;
use Olvek\Work\Deadline;

/**
 * All that is due over a keeper's tanks: late, today and ahead.
 *
 * @phpstan-type DueRow array{string, string, string, string, string, bool, string, int, array<string, mixed>}
 */
final readonly class Almanac
{
    /** Days ahead that are shown. */
    public const AHEAD = 21;
    /** Days for which something that was not done is still asked about. J: what nobody did for two weeks was not meant to be done. */
    private const LATE = 14;
    /**
     * Days in which the start's gates, not the plan's calendar, say what to test and who may come, even where nothing has been tested. J.
     */
    private const STARTING = 120;
    /** How tasks are called that Olvek's own reading brings, and days for which one that was noted is not told again. J. */
    public const NOTICE = 'read-';
    private const NOTED = 28;
    /** Seconds that a page gives to tanks that were last gone through on an earlier day. J. */
    private const PATIENCE = 0.02;
    /** Days for which what a tank asked for then is shown rather than nothing. J. */
    private const STALE = 3;

    public function __construct(
        private EntityManagerInterface $entities,
        private TankRepository $tanks,
        private BuildRecords $book,
        private TaskMarkRepository $taskMarks,
        private Tasks $tasks,
        private WeeksPage $weeks,
        private Notices $notices,
        private Logbook $logbook,
        private Calendar $writer,
        private Today $today,
        private ResultCache $kept,
        private Saver $saver,
        private Knowledge $knowledge,
    ) {
    }

    /**
     * @param list<string>|null $only ids of the tanks that are wanted; null for all
     * @param int|null          $most of each part that is wanted; null for all
     *
     * @return array{late: list<Due>, now: list<Due>, coming: list<Due>, more: array{late: int, now: int, coming: int},
     *     unfilled: list<Tank>, waiting: int} by day; how many more there are of each part; how many tanks are still to be read today
     */
    public function of(Keeper $keeper, ?array $only = null, ?int $most = null): array
    {
        $today = $this->today->of($keeper);
        $date = $today->format('Y-m-d');
        $filled = $this->book->filledDays($keeper);
        $all = $this->tanks->active($keeper);
        $tanks = null === $only ? $all : array_intersect_key($all, array_flip($only));
        $parts = ['late' => [], 'now' => [], 'coming' => []];
        $more = ['late' => 0, 'now' => 0, 'coming' => 0];
        [$rows, $waiting] = $this->rows($keeper, $today, $filled, $tanks);
        foreach ($rows as $row) {
            $part = $row[4] < $date ? 'late' : ($row[4] === $date ? 'now' : 'coming');
            if (null !== $most && \count($parts[$part]) >= $most) {
                ++$more[$part];
                continue;
            }
            [$id, $task, $words, $fell, $on, $moved, $way, $every, $asks] = $row;
            $day = new \DateTimeImmutable($on, new \DateTimeZone('UTC'));
            $parts[$part][] = new Due(
                $tanks[$id],
                $task,
                $words,
                new \DateTimeImmutable($fell, new \DateTimeZone('UTC')),
                $day,
                max(0, Today::between($day, $today)),
                $moved,
                $way,
                $every,
                $asks,
            );
        }

        $unfilled = array_values(array_diff_key($tanks, $filled));

        return [...$parts, 'more' => $more, 'unfilled' => $unfilled, 'waiting' => $waiting];
    }

    /**
     * All that is due, as bare values in the order of days. What a tank asks for is kept until its plan, its logbook or its marks change:
     * two hundred tanks are not gone through anew at every visit.
     *
     * @param array<string, \DateTimeImmutable> $filled day of filling by tank
     * @param array<string, Tank>               $tanks  by id
     *
     * @return array{list<DueRow>, int} tank, task, words, day by itself, day on which it is asked for, whether moved, route, days between,
     *     what that route is asked; how many tanks are still to be read today
     */
    private function rows(Keeper $keeper, \DateTimeImmutable $today, array $filled, array $tanks): array
    {
        $marks = $this->taskMarks->ofKeeper($keeper);
        $rows = $order = [];
        [$all, $waiting] = $this->known($keeper, $today, $filled, $tanks, $marks, new Deadline(self::PATIENCE));
        foreach ($all as $known) {
            foreach ($known as $row) {
                $rows[] = $row;
            }
        }
        [$noticed, $unread] = $this->noticed($keeper, $today, $filled, $tanks, $marks);
        array_push($rows, ...$noticed);
        foreach ($rows as $row) {
            $order[] = "$row[4] {$tanks[$row[0]]->name()} $row[1]";
        }
        array_multisort($order, \SORT_STRING, $rows);

        return [$rows, max($waiting, $unread)];
    }

    /**
     * What each tank asks for. On a new day the days of tasks stay what they were, and only what comes in sight at the far end is new: a
     * tank that was gone through a day or two ago waits for its turn once patience is spent.
     *
     * @param array<string, \DateTimeImmutable>      $filled
     * @param array<string, Tank>                    $tanks
     * @param array<string, array<string, TaskMark>> $marks
     *
     * @return array{array<string, list<DueRow>>, int} by tank; how many are still waiting
     */
    private function known(
        Keeper $keeper,
        \DateTimeImmutable $today,
        array $filled,
        array $tanks,
        array $marks,
        TimeLimit $patience,
    ): array {
        $name = 'almanac.'.$keeper->id()->toBase58();
        $date = $today->format('Y-m-d');
        /** @var array<string, array{stamp: string, on: string, rows: list<DueRow>}> $known */
        $known = $this->kept->known($name) ?? [];
        $oldest = $today->modify('-'.self::STALE.' days')->format('Y-m-d');
        $late = $today->modify('-'.self::LATE.' days')->format('Y-m-d');
        $all = [];
        $waiting = 0;
        $changed = false;
        foreach (array_intersect_key($tanks, $filled) as $id => $tank) {
            $stamp = $this->stamp($keeper, $filled[$id], $tank, $marks[$id] ?? []);
            $has = $known[$id] ?? ['stamp' => '', 'on' => '', 'rows' => []];
            $isUsable = $has['stamp'] === $stamp && $has['on'] >= $oldest && $has['on'] <= $date;
            if (!$isUsable || ($has['on'] !== $date && !$patience->isSpent())) {
                $known[$id] = [
                    'stamp' => $stamp,
                    'on' => $date,
                    'rows' => $this->asked($tank, $keeper, $filled[$id], $today, $marks[$id] ?? []),
                ];
                $changed = true;
            } elseif ($has['on'] !== $date) {
                ++$waiting;
            }
            $all[$id] = [];
            foreach ($known[$id]['rows'] as $row) {
                // A gate that stands open is open today, on whatever day that was seen.
                $isStart = 'weeks' === $row[6];
                $row[4] = $isStart && 'weeks-test' !== $row[1] ? $date : $row[4];
                if ($isStart || $row[4] >= $late) {
                    $all[$id][] = $row;
                }
            }
        }
        if ($changed) {
            $this->kept->put($name, $known, self::STALE * ResultCache::DAY);
        }

        return [$all, $waiting];
    }

    /**
     * Goes through tanks that were not gone through today, beside the page that has shown them as they were.
     *
     * @return int how many are still waiting when patience is spent
     */
    public function refresh(Keeper $keeper, TimeLimit $patience): int
    {
        $today = $this->today->of($keeper);
        $filled = $this->book->filledDays($keeper);
        $tanks = $this->tanks->active($keeper);
        $waiting = $this->known($keeper, $today, $filled, $tanks, $this->taskMarks->ofKeeper($keeper), $patience)[1];

        return max($waiting, $this->notices->refresh($keeper, $tanks, $filled, array_map($this->logbook->mark(...), $tanks), $patience));
    }

    /**
     * What one tank asks for.
     *
     * @param array<string, TaskMark> $marks
     *
     * @return list<DueRow>
     */
    private function asked(Tank $tank, Keeper $keeper, \DateTimeImmutable $filled, \DateTimeImmutable $today, array $marks): array
    {
        $situation = $this->weeks->situation($tank, $keeper);
        // Whoever tests is asked for the next test by the last one; whoever has never done so, by the calendar.
        $own = null !== $situation && ($situation->today <= self::STARTING || null !== $situation->lastTest());
        $due = $own ? $this->start($tank, FirstWeeks::of($situation), $filled, $today) : [];
        array_push($due, ...$this->again($tank, $situation->log ?? new Log(), $filled, $today));
        foreach ($this->tasks->of($this->tanks->head($tank), $keeper->units(), $filled) as $task) {
            if (!$own || !$task->start) {
                array_push($due, ...self::times($tank, $task, $filled, $today, $marks, $situation->log ?? new Log()));
            }
        }

        return array_map(
            static fn (Due $d): array => [
                $d->tank->id()->toRfc4122(),
                $d->task,
                $d->words,
                $d->due->format('Y-m-d'),
                $d->on->format('Y-m-d'),
                $d->moved,
                $d->way,
                $d->every,
                $d->asks,
            ],
            $due,
        );
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
     * What Olvek reads of tanks by itself: said once, not again for weeks after somebody has noted it.
     *
     * @param array<string, \DateTimeImmutable>       $filled
     * @param array<string, Tank>                     $tanks
     * @param array<string, array<string, TaskMark>>  $marks
     *
     * @return array{list<DueRow>, int} how many tanks are still to be read today
     */
    private function noticed(
        Keeper $keeper,
        \DateTimeImmutable $today,
        array $filled,
        array $tanks,
        array $marks,
    ): array {
        $states = array_map($this->logbook->mark(...), $tanks);
        $rows = [];
        [$read, $unread] = $this->notices->of($keeper, $tanks, $filled, $states);
        foreach ($read as $id => $notices) {
            foreach ($notices as $notice) {
                $task = self::NOTICE.$notice->id;
                $began = $filled[$id]->modify("+$notice->day days");
                if (self::isNoted($marks[$id] ?? [], $task, $began)) {
                    continue;
                }
                $asks = [
                    'sign' => [$notice->sign->value],
                    ...null === $notice->of ? [] : ['of' => [$notice->sign->value => $notice->of]],
                ];
                $rows[] = [
                    $id, $task, $notice->words, $began->format('Y-m-d'), $today->format('Y-m-d'), false, 'read', 0, $asks,
                ];
            }
        }

        return [$rows, $unread];
    }

    /** @param array<string, TaskMark> $marks of a tank */
    private static function isNoted(array $marks, string $task, \DateTimeImmutable $began): bool
    {
        foreach ($marks as $mark) {
            $on = new \DateTimeImmutable($mark->due, new \DateTimeZone('UTC'));
            if ($mark->task === $task && $mark->settled && abs(Today::between($on, $began)) <= self::NOTED) {
                return true;
            }
        }

        return false;
    }

    /**
     * Changes whenever anything but the day changes of which the almanac speaks for a tank.
     *
     * @param array<string, TaskMark> $marks
     */
    private function stamp(
        Keeper $keeper,
        \DateTimeImmutable $filled,
        Tank $tank,
        array $marks,
    ): string {
        return hash(
            'xxh128',
            implode("\n", [
                $filled->format('Y-m-d'),
                $keeper->units()->value,
                $keeper->kit()->code(),
                $tank->planHash(),
                $tank->name(),
                $this->logbook->mark($tank),
                ...array_map(
                    static fn (string $key, TaskMark $m): string => "$key {$m->moved?->format('Y-m-d')} ".($m->settled ? 'settled' : ''),
                    array_keys($marks),
                    $marks,
                ),
            ]),
        );
    }

    /**
     * What a calendar program should know: open and coming tasks of all filled tanks, each with its day of filling.
     *
     * @return list<array{Tank, Task, \DateTimeImmutable, \DateTimeImmutable}> and when its plan was last changed
     */
    private function feed(Keeper $keeper): array
    {
        $filled = $this->book->filledDays($keeper);
        $all = [];
        foreach ($this->tanks->shelf($keeper) as $revision) {
            $day = $filled[$revision->tank->id()->toRfc4122()] ?? null;
            if (null === $day) {
                continue;
            }
            foreach ($this->tasks->of($revision, $keeper->units(), $day) as $task) {
                $all[] = [$revision->tank, $task, $day, $revision->at];
            }
        }

        return $all;
    }

    /** All that is due, as one calendar; kept like the page, since programs fetch it again and again. */
    public function calendarText(Keeper $keeper): string
    {
        return $this->kept->get(
            'almanac.ics.'.$keeper->id()->toBase58().'.'.$this->calendarMark($keeper),
            fn (): string => $this->writer->shelf($this->feed($keeper), $this->taskMarks->ofKeeper($keeper)),
        );
    }

    /** Tells one state of the calendar from another: a program that has the same one already is not sent it again. */
    private function calendarMark(Keeper $keeper): string
    {
        $marks = $this->taskMarks->ofKeeper($keeper);
        $filled = $this->book->filledDays($keeper);
        $stamps = [];
        foreach (array_intersect_key($this->tanks->active($keeper), $filled) as $id => $tank) {
            $stamps[] = $this->stamp($keeper, $filled[$id], $tank, $marks[$id] ?? []);
        }

        return hash('xxh128', implode("\n", $stamps));
    }

    /** The open time of a task that falls on a day; null where the tank does not ask for it then. */
    public function find(Tank $tank, Keeper $keeper, string $task, string $due): ?Due
    {
        ['late' => $late, 'now' => $now, 'coming' => $coming] = $this->of($keeper, [$tank->id()->toRfc4122()]);
        foreach ([...$late, ...$now, ...$coming] as $time) {
            if ($time->task === $task && $time->due->format('Y-m-d') === $due) {
                return $time;
            }
        }

        return null;
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
        $filled = $this->book->filledDays($due->tank->keeper)[$due->tank->id()->toRfc4122()] ?? null;
        foreach ($this->tasks->of($this->tanks->head($due->tank), $due->tank->keeper->units(), $filled) as $task) {
            if ($task->id === $due->task) {
                return $task->does;
            }
        }

        return null;
    }

    /** Put off to another day, which the logbook tells. */
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

    /**
     * @param array<string, TaskMark> $marks by task and day
     * @param Log                     $log   what was done counts, on whatever page it was written down
     *
     * @return list<Due>
     */
    private static function times(
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
        foreach (array_unique($days) as $day) {
            $due = $filled->modify("+$day days");
            $mark = $marks[$task->id.' '.$due->format('Y-m-d')] ?? null;
            $on = $mark->moved ?? $due;
            $late = Today::between($on, $today);
            if (true !== $mark?->settled && $late <= self::LATE && $late >= -self::AHEAD && !$task->isDone($log, $day)) {
                $times[] = new Due($tank, $task->id, $task->words, $due, $on, max(0, $late), null !== $mark, every: $task->every);
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
                        'weeks-test',
                        'Test '.implode(', ', array_map(static fn ($m): string => $m->label(), $weeks->measures)),
                        $on,
                        $on,
                        max(0, Today::between($on, $today)),
                        false,
                        'weeks',
                    ),
                ];
        foreach ($weeks->gates as $gate) {
            if (GateState::Ready === $gate->state) {
                $due[] = new Due($tank, "weeks-$gate->id", "$gate->name: the gate is open", $today, $today, 0, false, 'weeks');
            }
        }

        return $due;
    }
}
