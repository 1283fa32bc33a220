<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Stress\Drill;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

final readonly class StressHandler implements JobHandler
{
    public function __construct(private PlanDocument $document)
    {
    }

    public static function of(): string
    {
        return StressJob::class;
    }

    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof StressJob);
        $found = Drill::run($this->document->fromJson($job->plan), $patience);

        return $patience->isSpent() ? Result::unfinished($found) : Result::whole($found);
    }
}
