<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\Tornado;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;
use Olvek\Service\Work\WorkQueue;

final readonly class DecidingHandler implements JobHandler
{
    /** Tanks that tell which numbers are worth trying, where the whole band has not been run yet. J. */
    private const FEW = 12;

    public function __construct(private PlanDocument $document, private ResultCache $cache)
    {
    }

    public static function of(): string
    {
        return DecidingJob::class;
    }

    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof DecidingJob);
        $plan = $this->document->fromJson($job->plan);
        $members = $this->whole($job->plan) ?? self::few($plan, $patience);
        $tornado = null === $members ? null : Tornado::of($plan, $members, $job->units, $patience);

        return null === $tornado || $patience->isSpent() ? Result::unfinished($tornado) : Result::whole($tornado);
    }

    /** @return array<int, array<string, array{float, bool}>>|null the band as it was run while the page stood open */
    private function whole(string $plan): ?array
    {
        $parts = $this->cache->all(
            array_map(static fn (int $n): string => WorkQueue::name(new BandJob($plan, $n)), range(0, Outcomes::PARTS - 1)),
        );

        /** @var list<array{array<int, array<string, array{float, bool}>>}>|null $parts */
        return null === $parts ? null : array_replace(...array_column($parts, 0));
    }

    /** @return array<int, array<string, array{float, bool}>>|null null where even these took too long */
    private static function few(Plan $plan, TimeLimit $patience): ?array
    {
        $band = new Band($plan, self::FEW);
        $members = [];
        for ($n = 0; $n < self::FEW; ++$n) {
            if ($patience->isSpent()) {
                return null;
            }
            $members[$n] = $band->member($n);
        }

        return $members;
    }
}
