<?php

declare(strict_types=1);

namespace Olvek\Log;

use Olvek\Core\Fit\LifeBand;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\TimeLimit\TimeLimit;
use Olvek\Work\Job;
use Olvek\Work\JobHandler;
use Olvek\Work\Result;

final readonly class LifeHandler implements JobHandler
{
    public function __construct(private PlanDocument $document)
    {
    }

    public static function of(): string
    {
        return LifeJob::class;
    }

    /** @return Result of a LifeBand; of false where there was no time for one */
    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof LifeJob);
        $band = LifeBand::of($this->document->fromJson($job->plan), $job->log, $job->days, $patience);

        return true === $band?->isWhole() ? Result::whole($band) : Result::unfinished($band ?? false);
    }
}
