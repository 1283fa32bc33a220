<?php

declare(strict_types=1);

namespace Olvek\Service\Weeks;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

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
