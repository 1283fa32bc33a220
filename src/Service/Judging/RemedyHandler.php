<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\RemedySearch;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

final readonly class RemedyHandler implements JobHandler
{
    public function __construct(private PlanDocument $document, private RemedySearch $helps)
    {
    }

    public static function of(): string
    {
        return RemedyJob::class;
    }

    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof RemedyJob);
        $helps = $this->helps->for($this->document->fromJson($job->plan), $job->margin, $job->units, patience: $patience);

        return $patience->isSpent() ? Result::unfinished($helps) : Result::whole($helps);
    }
}
