<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Solve\Compose\Confirmation;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

/** As many tanks on any machine, however long they take. */
final readonly class ConfirmHandler implements JobHandler
{
    public function __construct(private PlanDocument $plans)
    {
    }

    public static function of(): string
    {
        return ConfirmJob::class;
    }

    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof ConfirmJob);
        $band = new Band($this->plans->fromJson($job->plan), Confirmation::TANKS);

        return Result::whole(Band::sureness(array_map($band->member(...), range(0, Confirmation::TANKS - 1))));
    }
}
