<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

final readonly class BandHandler implements JobHandler
{
    public function __construct(private PlanDocument $document)
    {
    }

    public static function of(): string
    {
        return BandJob::class;
    }

    /** Each part is short, so that patience is never asked. */
    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof BandJob);
        $band = new Band($this->document->fromJson($job->plan));
        $judged = [];
        for ($n = $job->part * Outcomes::TANKS; $n < ($job->part + 1) * Outcomes::TANKS; ++$n) {
            $judged[$n] = $band->member($n);
        }

        return Result::whole($judged);
    }
}
