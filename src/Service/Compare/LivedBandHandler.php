<?php

declare(strict_types=1);

namespace Olvek\Service\Compare;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Service\Judging\Outcomes;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

final readonly class LivedBandHandler implements JobHandler
{
    public function __construct(private PlanDocument $document)
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
        $actual = ActualPlan::upTo(
            $job->state->plan($this->document),
            $job->state->log,
            $job->state->day,
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
