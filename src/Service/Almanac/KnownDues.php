<?php

declare(strict_types=1);

namespace Olvek\Service\Almanac;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Log\LogReader;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Task\TaskMark;

/**
 * What each tank asks for, kept until its plan, its logbook or its marks change: two hundred tanks are not gone through anew at every
 * visit.
 *
 * @phpstan-import-type PackedDue from KeptDue
 */
final readonly class KnownDues
{
    /** Days for which what a tank asked for then is shown rather than nothing. J. */
    private const STALE = 3;

    public function __construct(private TankDues $dues, private LogReader $logReader, private ResultCache $cache)
    {
    }

    /**
     * What each tank asks for. On a new day the days of tasks stay what they were, and only what comes in sight at the far end is new: a
     * tank that was gone through a day or two ago waits for its turn once patience is spent.
     *
     * @param array<string, \DateTimeImmutable>      $filled
     * @param array<string, Tank>                    $tanks
     * @param array<string, array<string, TaskMark>> $marks
     *
     * @return array{array<string, list<KeptDue>>, int} by tank; how many are still waiting
     */
    public function of(
        Keeper $keeper,
        \DateTimeImmutable $today,
        array $filled,
        array $tanks,
        array $marks,
        TimeLimit $patience,
    ): array {
        $name = 'packed-dues.'.$keeper->id()->toBase58();
        $date = $today->format('Y-m-d');
        /** @var array<string, array{stamp: string, on: string, rows: list<PackedDue>}> $known */
        $known = $this->cache->known($name) ?? [];
        $oldest = $today->modify('-'.self::STALE.' days')->format('Y-m-d');
        $late = $today->modify('-'.TankDues::LATE.' days')->format('Y-m-d');
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
                    'rows' => array_map(
                        static fn (Due $due): array => KeptDue::of($due)->packed(),
                        $this->dues->of($tank, $keeper, $filled[$id], $today, $marks[$id] ?? []),
                    ),
                ];
                $changed = true;
            } elseif ($has['on'] !== $date) {
                ++$waiting;
            }
            $all[$id] = [];
            foreach ($known[$id]['rows'] as $packed) {
                $row = KeptDue::unpacked($packed);
                // A gate that stands open is open today, on whatever day that was seen.
                $isStart = TankDues::START === $row->way;
                $row = $isStart && TankDues::TEST !== $row->task ? $row->askedOn($date) : $row;
                if ($isStart || $row->on >= $late) {
                    $all[$id][] = $row;
                }
            }
        }
        if ($changed) {
            $this->cache->put($name, $known, self::STALE * ResultCache::DAY);
        }

        return [$all, $waiting];
    }

    /**
     * Changes whenever anything but the day changes of which the almanac speaks for a tank.
     *
     * @param array<string, TaskMark> $marks
     */
    public function stamp(
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
                $this->logReader->mark($tank),
                ...array_map(
                    static fn (string $key, TaskMark $m): string => "$key {$m->moved?->format('Y-m-d')} ".($m->settled ? 'settled' : ''),
                    array_keys($marks),
                    $marks,
                ),
            ]),
        );
    }
}
