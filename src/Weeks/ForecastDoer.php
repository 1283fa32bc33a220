<?php

declare(strict_types=1);

namespace Olvek\Weeks;

use Olvek\Core\Patience\Patience;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Work\Doer;
use Olvek\Work\Job;
use Olvek\Work\Result;

final readonly class ForecastDoer implements Doer
{
    public function __construct(private PlanDocument $document, private Prospect $prospect)
    {
    }

    public static function of(): string
    {
        return ForecastJob::class;
    }

    public function do(Job $job, Patience $patience): Result
    {
        \assert($job instanceof ForecastJob);

        return Result::whole($this->prospect->reckon($this->document->fromJson($job->plan), $job->log, $job->today, $job->part, $patience));
    }
}
