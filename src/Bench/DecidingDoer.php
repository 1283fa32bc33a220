<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Core\Margin\Band;
use Olvek\Core\Margin\Tornado;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Solve\Patience;
use Olvek\Work\Doer;
use Olvek\Work\Job;
use Olvek\Work\Result;

final readonly class DecidingDoer implements Doer
{
    /** Tanks that tell which numbers are worth trying. J: half of a band. */
    private const TANKS = 32;

    public function __construct(private PlanDocument $document)
    {
    }

    public static function of(): string
    {
        return DecidingJob::class;
    }

    public function do(Job $job, Patience $patience): Result
    {
        \assert($job instanceof DecidingJob);
        $plan = $this->document->fromJson($job->plan);
        $band = new Band($plan, self::TANKS);
        $members = [];
        for ($n = 0; $n < self::TANKS; ++$n) {
            if ($patience->isSpent()) {
                return Result::unfinished(null);
            }
            $members[$n] = $band->member($n);
        }
        $tornado = Tornado::of($plan, $members, $job->units, $patience);

        return $patience->isSpent() ? Result::unfinished($tornado) : Result::whole($tornado);
    }
}
