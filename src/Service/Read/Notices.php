<?php

declare(strict_types=1);

namespace Olvek\Service\Read;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Sign\Foresight;
use Olvek\Core\Judgement\Sign\Notice;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Work\Deadline;

/**
 * What tanks show coming, read by Olvek itself once a day and whenever plan or logbook change. A page of many tanks waits for few of them:
 * a tank is shown as it was read yesterday until it has been read again, beside the page.
 */
final readonly class Notices
{
    /** Seconds that a page gives to reading tanks that have changed. J. */
    private const PATIENCE = 0.25;
    /** Days for which what was read of a tank that has not changed is still said. J. */
    private const STALE = 3;

    public function __construct(private ResultCache $cache, private TankReader $reader, private Today $today)
    {
    }

    /**
     * @param array<string, Tank>               $tanks  by id
     * @param array<string, \DateTimeImmutable> $filled day of filling by tank; of those that are not filled nothing is said
     * @param array<string, string>             $states tells the state of a tank's logbook from another
     *
     * @return array{array<string, list<Notice>>, int} by tank; none of one that is older than a run, or has not been read yet; how many are
     *     still to be read today
     */
    public function of(Keeper $keeper, array $tanks, array $filled, array $states): array
    {
        return $this->known($keeper, $tanks, $filled, $states, new Deadline(self::PATIENCE), false);
    }

    /**
     * Reads tanks that were not read today.
     *
     * @param array<string, Tank>               $tanks
     * @param array<string, \DateTimeImmutable> $filled
     * @param array<string, string>             $states
     *
     * @return int how many are still to be read when patience is spent
     */
    public function refresh(Keeper $keeper, array $tanks, array $filled, array $states, TimeLimit $patience): int
    {
        return $this->known($keeper, $tanks, $filled, $states, $patience, true)[1];
    }

    /**
     * @param array<string, Tank>               $tanks
     * @param array<string, \DateTimeImmutable> $filled
     * @param array<string, string>             $states
     * @param bool                              $again whether those are read again that have only grown older
     *
     * @return array{array<string, list<Notice>>, int} by tank; how many are still to be read
     */
    private function known(Keeper $keeper, array $tanks, array $filled, array $states, TimeLimit $patience, bool $again): array
    {
        $name = 'notices.'.$keeper->id()->toBase58();
        /** @var array<string, array{string, int, list<Notice>}> $known by tank: state, day, and what it showed then */
        $known = $this->cache->known($name) ?? [];
        $notices = [];
        $waiting = 0;
        $changed = false;
        foreach (array_intersect_key($tanks, $filled) as $id => $tank) {
            $day = Today::between($filled[$id], $this->today->of($keeper));
            if ($day < 0 || $day + 1 >= Plan::LAST_DAY) {
                continue;
            }
            $state = hash('xxh128', implode("\n", [
                $filled[$id]->format('Ymd'),
                $tank->planHash(),
                $keeper->kit()->code(),
                $keeper->units()->value,
                $states[$id] ?? '',
            ]));
            [$had, $on, $shown] = $known[$id] ?? ['', -1, []];
            $isUsable = $had === $state && $on <= $day && $on >= $day - self::STALE;
            if ((!$isUsable || ($again && $on !== $day)) && !($changed && $patience->isSpent())) {
                $shown = $this->read($tank, $keeper, $day);
                $known[$id] = [$state, $day, $shown];
                $isUsable = $changed = true;
            } elseif (!$isUsable || $on !== $day) {
                ++$waiting;
            }
            if ($isUsable) {
                $notices[$id] = $shown;
            }
        }
        if ($changed) {
            $this->cache->put($name, $known, self::STALE * ResultCache::DAY);
        }

        return [$notices, $waiting];
    }

    /** @return list<Notice> */
    private function read(Tank $tank, Keeper $keeper, int $day): array
    {
        $log = $this->reader->log($tank, $keeper);

        return Foresight::of(TankCase::of($this->reader->plan($tank), $log, $day, [], [], $keeper->kit(), $keeper->units()));
    }
}
