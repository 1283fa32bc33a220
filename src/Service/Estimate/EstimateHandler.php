<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

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
