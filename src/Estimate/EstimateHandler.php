<?php

declare(strict_types=1);

namespace Olvek\Estimate;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Work\Job;
use Olvek\Work\JobHandler;
use Olvek\Work\Result;

final readonly class EstimateHandler implements JobHandler
{
    public function __construct(private EstimateParts $parts)
    {
    }

    public static function of(): string
    {
        return EstimateJob::class;
    }

    /** @return Result of the part's tanks, each short enough that patience is not asked */
    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof EstimateJob);

        return Result::whole($this->parts->part($job));
    }
}
