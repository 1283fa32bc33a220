<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Judgement\Solve\Compose\WishSearch;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

/** So many wishes on any machine, however long they take. */
final readonly class NearestHandler implements JobHandler
{
    public function __construct(private WishSearch $search, private WishDocument $wishes)
    {
    }

    public static function of(): string
    {
        return NearestJob::class;
    }

    /** @return Result of NearestWish, or of null */
    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof NearestJob);

        return Result::whole($this->search->nearest($this->wishes->fromJson($job->wish), $job->taste, $job->units));
    }
}
