<?php

declare(strict_types=1);

namespace Olvek\Service\Almanac;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Log\LogReader;
use Olvek\Service\Read\Notices;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Task\TaskMark;
use Olvek\Service\Task\TaskMarkRepository;
use Olvek\Service\Work\Deadline;

/** All that is due over a keeper's tanks: late, today and ahead. */
final readonly class Almanac
{
    /** How tasks are called that Olvek's own reading brings, and days for which one that was noted is not told again. J. */
    public const NOTICE = 'read-';
    private const NOTED = 28;
    /** Seconds that a page gives to tanks that were last gone through on an earlier day. J. */
    private const PATIENCE = 0.02;

    public function __construct(
        private TankRepository $tanks,
        private TaskMarkRepository $taskMarks,
        private KnownDues $known,
        private Notices $notices,
        private LogReader $logReader,
        private Today $today,
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
        $filled = $this->tanks->filledDays($keeper);
        $all = $this->tanks->active($keeper);
        $tanks = null === $only ? $all : array_intersect_key($all, array_flip($only));
        $parts = ['late' => [], 'now' => [], 'coming' => []];
        $more = ['late' => 0, 'now' => 0, 'coming' => 0];
        [$rows, $waiting] = $this->rows($keeper, $today, $filled, $tanks);
        foreach ($rows as $row) {
            $part = $row->on < $date ? 'late' : ($row->on === $date ? 'now' : 'coming');
            if (null !== $most && \count($parts[$part]) >= $most) {
                ++$more[$part];
                continue;
            }
            $parts[$part][] = $row->on($tanks[$row->tank], $today);
        }

        $unfilled = array_values(array_diff_key($tanks, $filled));

        return [...$parts, 'more' => $more, 'unfilled' => $unfilled, 'waiting' => $waiting];
    }

    /**
     * All that is due, in the order of days.
     *
     * @param array<string, \DateTimeImmutable> $filled day of filling by tank
     * @param array<string, Tank>               $tanks  by id
     *
     * @return array{list<KeptDue>, int} and how many tanks are still to be read today
     */
    private function rows(Keeper $keeper, \DateTimeImmutable $today, array $filled, array $tanks): array
    {
        $marks = $this->taskMarks->ofKeeper($keeper);
        [$all, $waiting] = $this->known->of($keeper, $today, $filled, $tanks, $marks, new Deadline(self::PATIENCE));
        [$noticed, $unread] = $this->noticed($keeper, $today, $filled, $tanks, $marks);
        $rows = array_merge(...array_values($all), ...[$noticed]);
        $order = array_map(static fn (KeptDue $row): string => "$row->on {$tanks[$row->tank]->name()} $row->task", $rows);
        array_multisort($order, \SORT_STRING, $rows);

        return [array_values($rows), max($waiting, $unread)];
    }

    /**
     * Goes through tanks that were not gone through today, beside the page that has shown them as they were.
     *
     * @return int how many are still waiting when patience is spent
     */
    public function refresh(Keeper $keeper, TimeLimit $patience): int
    {
        $today = $this->today->of($keeper);
        $filled = $this->tanks->filledDays($keeper);
        $tanks = $this->tanks->active($keeper);
        $waiting = $this->known->of($keeper, $today, $filled, $tanks, $this->taskMarks->ofKeeper($keeper), $patience)[1];

        return max($waiting, $this->notices->refresh($keeper, $tanks, $filled, array_map($this->logReader->mark(...), $tanks), $patience));
    }

    /**
     * What Olvek reads of tanks by itself: said once, not again for weeks after somebody has noted it.
     *
     * @param array<string, \DateTimeImmutable>       $filled
     * @param array<string, Tank>                     $tanks
     * @param array<string, array<string, TaskMark>>  $marks
     *
     * @return array{list<KeptDue>, int} and how many tanks are still to be read today
     */
    private function noticed(
        Keeper $keeper,
        \DateTimeImmutable $today,
        array $filled,
        array $tanks,
        array $marks,
    ): array {
        $states = array_map($this->logReader->mark(...), $tanks);
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
                $rows[] = new KeptDue(
                    $id,
                    $task,
                    $notice->words,
                    $began->format('Y-m-d'),
                    $today->format('Y-m-d'),
                    way: 'read',
                    asks: $asks,
                );
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
}
