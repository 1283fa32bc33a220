<?php

declare(strict_types=1);

namespace Olvek\Judging;

use Olvek\Core\Patience\Patience;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Work\Doer;
use Olvek\Work\Job;
use Olvek\Work\Result;

final readonly class AnswerDoer implements Doer
{
    public function __construct(private PlanDocument $document, private Questions $questions)
    {
    }

    public static function of(): string
    {
        return AnswerJob::class;
    }

    public function do(Job $job, Patience $patience): Result
    {
        \assert($job instanceof AnswerJob);
        $asked = $this->questions->named($job->question, $job->kind) ?? throw new \LogicException('only known questions are asked');
        $answer = $asked->solve($this->document->fromJson($job->plan), $patience);

        return $answer->complete ? Result::whole($answer) : Result::unfinished($answer);
    }
}
