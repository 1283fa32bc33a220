<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\Harm\Averting;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

final readonly class AvertingHandler implements JobHandler
{
    public function __construct(private PlanDocument $document, private Averting $averting)
    {
    }

    public static function of(): string
    {
        return AvertingJob::class;
    }

    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof AvertingJob);
        $averted = $this->averting->of($this->document->fromJson($job->plan), $job->harm, $job->units, patience: $patience);

        return $patience->isSpent() ? Result::unfinished($averted) : Result::whole($averted);
    }
}
