<?php

declare(strict_types=1);

namespace Olvek\Weeks;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Work\Job;
use Olvek\Work\JobHandler;
use Olvek\Work\Result;

final readonly class ForecastHandler implements JobHandler
{
    public function __construct(private PlanDocument $document, private Forecasts $prospect)
    {
    }

    public static function of(): string
    {
        return ForecastJob::class;
    }

    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof ForecastJob);

        return Result::whole(
            $this->prospect->compute($this->document->fromJson($job->plan), $job->log, $job->today, $job->part, $patience),
        );
    }
}
