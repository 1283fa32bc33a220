<?php

declare(strict_types=1);

namespace Olvek\Judging;

use Olvek\Core\Margin\Helps;
use Olvek\Core\Patience\Patience;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Work\Doer;
use Olvek\Work\Job;
use Olvek\Work\Result;

final readonly class HelpsDoer implements Doer
{
    public function __construct(private PlanDocument $document, private Helps $helps)
    {
    }

    public static function of(): string
    {
        return HelpsJob::class;
    }

    public function do(Job $job, Patience $patience): Result
    {
        \assert($job instanceof HelpsJob);
        $helps = $this->helps->for($this->document->fromJson($job->plan), $job->margin, $job->units, patience: $patience);

        return $patience->isSpent() ? Result::unfinished($helps) : Result::whole($helps);
    }
}
