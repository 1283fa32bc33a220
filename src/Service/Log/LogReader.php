<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Today;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Tank;

/** A logbook as the core makes sense of it. */
final readonly class LogReader
{
    public function __construct(private EntryRepository $entries, private ResultCache $cache)
    {
    }

    /**
     * What the core makes sense of, by days after filling; what was written before is left out. Kept until another line is written or taken
     * back: a probe's years are many lines.
     *
     * @param int         $upTo last day that counts
     * @param string|null $mark of its state, where it is known already
     */
    public function since(Tank $tank, \DateTimeImmutable $filled, int $upTo = Plan::LAST_DAY, ?string $mark = null): Log
    {
        $log = $this->cache->get(
            implode('.', ['log', $mark ?? $this->mark($tank), $filled->format('Ymd'), $upTo]),
            fn (): Log => $this->readLines($tank, $filled, $upTo),
        );
        \assert($log instanceof Log);

        return $log;
    }

    /**
     * A tank as it stands now, as data for long work.
     *
     * @param string $plan document of the plan that stands
     */
    public function state(Tank $tank, string $plan, \DateTimeImmutable $filled, int $day): TankState
    {
        $mark = $this->mark($tank);
        $log = $this->since($tank, $filled, $day, $mark);
        $print = $this->cache->get(
            implode('.', ['print', $mark, $filled->format('Ymd'), $day]),
            static fn (): string => hash('xxh128', serialize($log)),
        );
        \assert(\is_string($print));

        return TankState::of($plan, $filled, $day, $log, $print);
    }

    /** Tells one state of a tank's logbook from another. */
    public function mark(Tank $tank): string
    {
        return $tank->id()->toRfc4122().'.'.$tank->logMark().$tank->logLines();
    }

    private function readLines(Tank $tank, \DateTimeImmutable $filled, int $upTo): Log
    {
        $builder = new LogBuilder();
        foreach ($this->entries->rows($tank, $filled, $filled->modify("+$upTo days")) as $row) {
            $builder->add(
                Today::between($filled, new \DateTimeImmutable($row['day'])),
                $row['kind'],
                $row['what'],
                null === $row['amount'] ? null : (float) $row['amount'],
                $row['whom'],
            );
        }

        return $builder->log();
    }
}
