<?php

declare(strict_types=1);

namespace Olvek\Compare;

use Olvek\Core\Log\ActualPlan;
use Olvek\Core\Margin\Band;
use Olvek\Core\Plan\PlannedEvent;
use Olvek\Core\TimeLimit\TimeLimit;
use Olvek\Judging\Outcomes;
use Olvek\Read\TankReader;
use Olvek\Tank\TankRepository;
use Olvek\Work\Job;
use Olvek\Work\JobHandler;
use Olvek\Work\Result;
use Symfony\Component\Uid\Uuid;

final readonly class LivedBandHandler implements JobHandler
{
    public function __construct(private TankRepository $tanks, private TankReader $reader)
    {
    }

    public static function of(): string
    {
        return LivedBandJob::class;
    }

    /** Each part is short, so that patience is never asked. */
    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof LivedBandJob);
        $tank = $this->tanks->find(Uuid::fromString($job->tank)) ?? throw new \RuntimeException('The tank is gone.');
        $actual = ActualPlan::upTo(
            $this->reader->plan($tank),
            $this->reader->log($tank, $tank->keeper),
            $this->reader->day($tank, $tank->keeper) ?? 0,
            static fn (PlannedEvent $e): bool => true,
        );
        $band = new Band($actual->plan, events: $actual->events);
        $judged = [];
        for ($n = $job->part * Outcomes::TANKS; $n < ($job->part + 1) * Outcomes::TANKS; ++$n) {
            $judged[$n] = $band->member($n);
        }

        return Result::whole($judged);
    }
}
