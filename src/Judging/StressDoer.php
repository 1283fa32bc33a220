<?php

declare(strict_types=1);

namespace Olvek\Judging;

use Olvek\Core\Patience\Patience;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Stress\Drill;
use Olvek\Work\Doer;
use Olvek\Work\Job;
use Olvek\Work\Result;

final readonly class StressDoer implements Doer
{
    public function __construct(private PlanDocument $document)
    {
    }

    public static function of(): string
    {
        return StressJob::class;
    }

    public function do(Job $job, Patience $patience): Result
    {
        \assert($job instanceof StressJob);
        $found = Drill::run($this->document->fromJson($job->plan), $patience);

        return $patience->isSpent() ? Result::unfinished($found) : Result::whole($found);
    }
}
