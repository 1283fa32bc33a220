<?php

declare(strict_types=1);

namespace Olvek\Keep;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Olvek\Account\Keeper;
use Olvek\Build\StepMark;
use Olvek\Build\Tasks;
use Olvek\Build\WeeksPage;
use Olvek\Core\Build\Start\FirstWeeks;
use Olvek\Core\Build\Start\GateState;
use Olvek\Core\Build\Task;
use Olvek\Core\Log\DeedKind;
use Olvek\Shelf\Revision;
use Olvek\Shelf\Tank;
use Olvek\Shelf\TankRepository;
use Olvek\Site\Today;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Uid\Uuid;

/** All that is due over a keeper's tanks: late, today and ahead. */
final readonly class Almanac
{
    /** Days ahead that are shown. */
    public const AHEAD = 21;
    /** Days for which something that was not done is still asked about; what comes again sooner is asked about only once. */
    private const LATE = 14;
    /** Days of a start on which its own gates, not the plan's calendar, say what to test and who may come. */
    private const STARTING = 120;

    public function __construct(private EntityManagerInterface $entities, private TankRepository $tanks, private Tasks $tasks, private WeeksPage $weeks, private Logbook $logbook, private Today $today, private CacheItemPoolInterface $cache, #[Autowire('%olvek.build%')] private string $build)
    {
    }

    /**
     * @param string $which id of a tank; '' for all
     *
     * @return array{due: list<Due>, unfilled: list<Tank>} by day
     */
    public function of(Keeper $keeper, string $which = ''): array
    {
        $today = $this->today->of($keeper);
        $filled = $this->filled($keeper);
        $marks = $this->marks($keeper);
        $lines = $this->lines($keeper);
        $due = $unfilled = [];
        foreach ($this->tanks->shelf($keeper) as $revision) {
            $tank = $revision->tank;
            $id = $tank->id()->toRfc4122();
            if ('' !== $which && $which !== $id) {
                continue;
            }
            if (!isset($filled[$id])) {
                $unfilled[] = $tank;
                continue;
            }
            $starting = Today::between($filled[$id], $today) <= self::STARTING;
            foreach ($this->calendar($revision, $keeper, $starting) as $task) {
                array_push($due, ...self::times($tank, $task, $filled[$id], $today, $marks[$id] ?? []));
            }
            if ($starting) {
                array_push($due, ...$this->start($revision, $keeper, $filled[$id], $today, $lines[$id] ?? 0));
            }
        }
        usort($due, static fn (Due $a, Due $b): int => [$a->on, $a->tank->name(), $a->task] <=> [$b->on, $b->tank->name(), $b->task]);

        return ['due' => $due, 'unfilled' => $unfilled];
    }

    /**
     * What a calendar program should know: open and coming tasks of all filled tanks, each with its day of filling.
     *
     * @return list<array{Tank, Task, \DateTimeImmutable}>
     */
    public function feed(Keeper $keeper): array
    {
        $filled = $this->filled($keeper);
        $all = [];
        foreach ($this->tanks->shelf($keeper) as $revision) {
            $day = $filled[$revision->tank->id()->toRfc4122()] ?? null;
            if (null === $day) {
                continue;
            }
            foreach ($this->calendar($revision, $keeper, false) as $task) {
                $all[] = [$revision->tank, $task, $day];
            }
        }

        return $all;
    }

    /** @return array<string, array<string, TaskMark>> by tank, and by task and day */
    public function marks(Keeper $keeper): array
    {
        $marks = [];
        /** @var list<TaskMark> $found */
        $found = $this->entities->createQuery('SELECT m, t FROM '.TaskMark::class.' m JOIN m.tank t WHERE t.keeper = :keeper')->setParameter('keeper', $keeper->id(), 'uuid')->getResult();
        foreach ($found as $mark) {
            $marks[$mark->tank->id()->toRfc4122()]["$mark->task $mark->due"] = $mark;
        }

        return $marks;
    }

    /** @return array<string, string> names of a keeper's tanks by id */
    public function tanks(Keeper $keeper): array
    {
        return array_column(array_map(static fn (Revision $r): array => [$r->tank->id()->toRfc4122(), $r->tank->name()], $this->tanks->shelf($keeper)), 1, 0);
    }

    /** The open time of a task that falls on a day; null where the tank does not ask for it then. */
    public function find(Tank $tank, Keeper $keeper, string $task, string $due): ?Due
    {
        foreach ($this->of($keeper, $tank->id()->toRfc4122())['due'] as $time) {
            if ($time->task === $task && $time->due->format('Y-m-d') === $due) {
                return $time;
            }
        }

        return null;
    }

    /** Done or left out: it is not asked for again, and the logbook says so. False where another window was faster. */
    public function settle(Due $due, bool $done): bool
    {
        $entry = $this->logbook->write($due->tank, $this->today->of($due->tank->keeper), DeedKind::Task, 0.0, $due->task, ($done ? '' : 'Left out: ').$due->words);

        return $this->mark($due, null, true, $entry);
    }

    /** Put off to another day, which the logbook tells. */
    public function move(Due $due, \DateTimeImmutable $to): bool
    {
        $entry = $this->logbook->write($due->tank, $this->today->of($due->tank->keeper), DeedKind::Task, 0.0, $due->task, \sprintf('Put off to %s: %s', $to->format('j F'), $due->words));

        return $this->mark($due, $to, false, $entry);
    }

    private function mark(Due $due, ?\DateTimeImmutable $to, bool $settled, Entry $entry): bool
    {
        $key = ['tank' => $due->tank->id(), 'task' => $due->task, 'due' => $due->due->format('Y-m-d')];
        $mark = $this->entities->find(TaskMark::class, $key);
        if (null === $mark) {
            $this->entities->persist(new TaskMark($due->tank, $due->task, $key['due'], $to, $settled, $entry->id));
        } else {
            $mark->moved = $to;
            $mark->settled = $settled;
            $mark->entry = $entry->id;
        }
        try {
            $this->entities->flush();
        } catch (UniqueConstraintViolationException) {
            return false;
        }

        return true;
    }

    /** @return list<Task> */
    private function calendar(Revision $revision, Keeper $keeper, bool $starting): array
    {
        return array_values(array_filter($this->tasks->of($revision, $keeper->units()), static fn (Task $t): bool => !$starting || !(str_starts_with($t->id, 'test-') || str_starts_with($t->id, 'stock-') || 'feed' === $t->id)));
    }

    /**
     * @param array<string, TaskMark> $marks by task and day
     *
     * @return list<Due>
     */
    private static function times(Tank $tank, Task $task, \DateTimeImmutable $filled, \DateTimeImmutable $today, array $marks): array
    {
        $now = Today::between($filled, $today);
        $days = [];
        if (0 === $task->every) {
            $days[] = $task->day;
        } else {
            // Of what comes again, the last time that has come, the next, and what was put off.
            $last = $task->day + $task->every * intdiv(max(0, $now - $task->day), $task->every);
            $days = array_values(array_filter([$last, $last + $task->every], static fn (int $day): bool => null === $task->until || $day <= $task->until));
            foreach ($marks as $mark) {
                $day = $mark->task === $task->id && !$mark->settled ? Today::between($filled, new \DateTimeImmutable($mark->due, new \DateTimeZone('UTC'))) : null;
                if (null !== $day && !\in_array($day, $days, true)) {
                    $days[] = $day;
                }
            }
        }
        $times = [];
        foreach ($days as $day) {
            $due = $filled->modify("+$day days");
            $mark = $marks[$task->id.' '.$due->format('Y-m-d')] ?? null;
            $on = $mark->moved ?? $due;
            $late = Today::between($on, $today);
            if (true !== $mark?->settled && $late <= self::LATE && $late >= -self::AHEAD) {
                $times[] = new Due($tank, $task->id, $task->words, $due, $on, max(0, $late), null !== $mark, every: $task->every);
            }
        }

        return $times;
    }

    /**
     * What the gates of a start ask for. Kept until something is written down, the plan changes or the day does: a shelf of two hundred
     * is not gone through anew at every visit.
     *
     * @param int $lines in the tank's logbook
     *
     * @return list<Due>
     */
    private function start(Revision $revision, Keeper $keeper, \DateTimeImmutable $filled, \DateTimeImmutable $today, int $lines): array
    {
        $tank = $revision->tank;
        $holds = [$this->build, hash('xxh128', $revision->plan), $today->format('Y-m-d'), $filled->format('Y-m-d'), $keeper->units()->value, $keeper->kit()->code(), $lines];
        $item = $this->cache->getItem(Logbook::startKey($tank));
        $known = $item->get();
        if (!\is_array($known) || $known['holds'] !== $holds) {
            $known = ['holds' => $holds, 'asks' => $this->asks($tank, $keeper)];
            $this->cache->save($item->set($known)->expiresAfter(86400));
        }
        $due = [];
        /** @var list<array{string, string, int}> $asks */
        $asks = $known['asks'];
        foreach ($asks as [$task, $words, $day]) {
            $on = $day < 0 ? $today : $filled->modify("+$day days");
            if (Today::between($today, $on) <= self::AHEAD) {
                $due[] = new Due($tank, $task, $words, $on, $on, max(0, Today::between($on, $today)), false, 'weeks');
            }
        }

        return $due;
    }

    /** @return list<array{string, string, int}> task, words and day after filling; −1 for as long as it stands open */
    private function asks(Tank $tank, Keeper $keeper): array
    {
        $situation = $this->weeks->situation($tank, $keeper);
        if (null === $situation) {
            return [];
        }
        $weeks = FirstWeeks::of($situation);
        $asks = [['weeks-test', 'Test '.implode(', ', array_map(static fn ($m): string => $m->label(), $weeks->measures)), $weeks->nextTest]];
        foreach ($weeks->gates as $gate) {
            if (GateState::Ready === $gate->state) {
                $asks[] = ["weeks-$gate->id", "$gate->name: the gate is open", -1];
            }
        }

        return $asks;
    }

    /** @return array<string, int> lines in the logbook by tank */
    private function lines(Keeper $keeper): array
    {
        $lines = [];
        /** @var list<array{tank: Uuid, lines: int}> $rows */
        $rows = $this->entities->createQuery('SELECT t.id AS tank, COUNT(e.id) AS lines FROM '.Entry::class.' e JOIN e.tank t WHERE t.keeper = :keeper GROUP BY t.id')->setParameter('keeper', $keeper->id(), 'uuid')->getResult();
        foreach ($rows as $row) {
            $lines[$row['tank']->toRfc4122()] = $row['lines'];
        }

        return $lines;
    }

    /** @return array<string, \DateTimeImmutable> day of filling by tank */
    private function filled(Keeper $keeper): array
    {
        $filled = [];
        /** @var list<StepMark> $marks */
        $marks = $this->entities->createQuery('SELECT m, t FROM '.StepMark::class.' m JOIN m.tank t WHERE t.keeper = :keeper AND m.step = :step AND m.done = true')
            ->setParameter('keeper', $keeper->id(), 'uuid')->setParameter('step', 'fill')->getResult();
        foreach ($marks as $mark) {
            $filled[$mark->tank->id()->toRfc4122()] = $mark->on;
        }

        return $filled;
    }
}
