<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

final readonly class AnswerHandler implements JobHandler
{
    public function __construct(private PlanDocument $document, private Questions $questions)
    {
    }

    public static function of(): string
    {
        return AnswerJob::class;
    }

    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof AnswerJob);
        $asked = $this->questions->named($job->question, $job->kind) ?? throw new \LogicException('only known questions are asked');
        $answer = $asked->solve($this->document->fromJson($job->plan), $patience);

        return $answer->complete ? Result::whole($answer) : Result::unfinished($answer);
    }
}
