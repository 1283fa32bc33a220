<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Member;
use Olvek\Core\Keeping\Estimation\Smoother;
use Olvek\Core\Planning\Plan\Plan;

/** Estimates made by several processes at once. */
final readonly class Estimation
{
    public function __construct(private Processes $processes)
    {
    }

    /** @param \Closure(int, int): bool $progress called with tanks done and of how many */
    public function estimate(Estimator $estimator, \Closure $progress): Estimate
    {
        $prior = $scores = $estimator->prior();
        $steps = [] === $estimator->observations ? 0 : Smoother::STEPS;
        $all = ($steps + 1) * \count($prior);
        $first = $members = [];
        for ($step = 0; $step <= $steps; ++$step) {
            $done = $step * \count($prior);
            $members = $this->members(
                new EstimatePieces($estimator->plan, $estimator->log, $estimator->today, $scores, 0 === $step || $steps === $step),
                \count($scores),
                static fn (int $n): bool => $progress($done + $n, $all),
            );
            $first = 0 === $step ? $members : $first;
            $scores = $step < $steps ? $estimator->step($scores, $members, $first, $step) : $scores;
        }

        return Estimate::of($estimator, $prior, $first, $scores, $members);
    }

    /**
     * The tanks of an estimate where something is done in days to come.
     *
     * @param \Closure(int, int): bool $progress
     *
     * @return list<Member> from today on
     */
    public function then(Estimator $estimator, Estimate $estimate, Plan $plan, \Closure $progress): array
    {
        return $estimate->ahead(
            $this->members(
                new EstimatePieces($estimator->plan, $estimator->log, $estimator->today, $estimate->scores, true, $plan),
                \count($estimate->scores),
                $progress,
            ),
        );
    }

    /**
     * @param \Closure(int, int): bool $progress
     *
     * @return list<Member>
     */
    private function members(EstimatePieces $work, int $pieces, \Closure $progress): array
    {
        /** @var array<int, Member> $members */
        $members = $this->processes->map($work, $pieces, $progress);
        if (\count($members) < $pieces) {
            throw new \RuntimeException('Stopped before there was an estimate.');
        }

        return array_values($members);
    }
}
