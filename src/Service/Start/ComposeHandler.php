<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Solve\Compose\Composer;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

/** Composing counts its work, so that a busy machine gives the same plan, only later: patience does not matter. */
final readonly class ComposeHandler implements JobHandler
{
    public function __construct(private Composer $composer, private WishDocument $wishes, private PlanDocument $plans)
    {
    }

    public static function of(): string
    {
        return ComposeJob::class;
    }

    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof ComposeJob);
        $found = $this->composer->compose($this->wishes->fromJson($job->wish), $job->taste, $job->units);

        return Result::whole(
            Composed::of($this->plans->toJson($found->plan), $found, $found->judgement->trace->on(MethodsHandler::DRAWN)),
        );
    }
}
