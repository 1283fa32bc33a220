<?php

declare(strict_types=1);

namespace Olvek\Read;

use Olvek\Account\Keeper;
use Olvek\Account\Today;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Sign\Foresight;
use Olvek\Core\Sign\Notice;
use Olvek\Core\Sign\TankCase;
use Olvek\Site\ResultCache;
use Olvek\Tank\Tank;
use Olvek\Work\Deadline;

/**
 * What tanks show coming, read by Olvek itself once a day and whenever plan or logbook change. A page of many tanks waits for few of them:
 * those that are not read yet are read at the next visit.
 */
final readonly class Notices
{
    /** Seconds that a request gives to reading tanks. J. */
    private const PATIENCE = 0.25;

    public function __construct(private ResultCache $kept, private TankReader $reader, private Today $today)
    {
    }

    /**
     * @param array<string, Tank>               $tanks  by id
     * @param array<string, \DateTimeImmutable> $filled day of filling by tank; of those that are not filled nothing is said
     * @param array<string, string>             $states tells the state of a tank's logbook from another
     *
     * @return array<string, list<Notice>> by tank; none of one that is older than a run, or has not been read yet
     */
    public function of(Keeper $keeper, array $tanks, array $filled, array $states): array
    {
        $name = 'notices.'.$keeper->id()->toBase58();
        /** @var array<string, array{string, list<Notice>}> $known by tank: state, and what it shows in it */
        $known = $this->kept->known($name) ?? [];
        $patience = new Deadline(self::PATIENCE);
        $notices = [];
        $changed = false;
        foreach (array_intersect_key($tanks, $filled) as $id => $tank) {
            $day = Today::between($filled[$id], $this->today->of($keeper));
            if ($day < 0 || $day + 1 >= Plan::LAST_DAY) {
                continue;
            }
            $state = hash('xxh128', implode("\n", [
                $day,
                $filled[$id]->format('Ymd'),
                $tank->planHash(),
                $keeper->kit()->code(),
                $keeper->units()->value,
                $states[$id] ?? '',
            ]));
            if (($known[$id][0] ?? '') !== $state) {
                if ($changed && $patience->isSpent()) {
                    continue;
                }
                $known[$id] = [$state, $this->read($tank, $keeper, $day)];
                $changed = true;
            }
            $notices[$id] = $known[$id][1];
        }
        if ($changed) {
            $this->kept->put($name, $known);
        }

        return $notices;
    }

    /** @return list<Notice> */
    private function read(Tank $tank, Keeper $keeper, int $day): array
    {
        $log = $this->reader->log($tank, $keeper);

        return Foresight::of(TankCase::of($this->reader->plan($tank), $log, $day, [], [], $keeper->kit(), $keeper->units()));
    }
}
