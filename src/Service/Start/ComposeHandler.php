<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Solve\Compose\Composer;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

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
        $found = $this->composer->compose($this->wishes->fromJson($job->wish), $job->taste, $job->units, $patience);
        $band = new Band($found->plan, Composer::TANKS);
        $members = [];
        for ($n = 0; $n < Composer::TANKS && !($n > 0 && $patience->isSpent()); ++$n) {
            $members[$n] = $band->member($n);
        }
        $composed = new Composed(
            $this->plans->toJson($found->plan),
            $found->with(Band::sureness($members)),
            $found->judgement->trace->on(MethodsHandler::DRAWN),
        );

        return $found->complete ? Result::whole($composed) : Result::unfinished($composed);
    }
}
