<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Judgement\Standing\EstimatedTank;
use Olvek\Core\Judgement\Standing\SimulatedTank;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Smoother;
use Olvek\Core\Planning\Plan\Plan;

/** Estimates made by several processes at once. */
final readonly class Estimation
{
    public function __construct(private Processes $processes)
    {
    }

    /** @param \Closure(int, int): bool $progress called with tanks done and of how many */
    public function estimate(Estimator $estimator, \Closure $progress): EstimatedTank
    {
        $prior = $scores = $estimator->prior();
        $steps = [] === $estimator->observations ? 0 : Smoother::STEPS;
        $all = ($steps + 1) * \count($prior);
        $first = $tanks = [];
        for ($step = 0; $step <= $steps; ++$step) {
            $done = $step * \count($prior);
            $tanks = $this->tanks(
                new EstimatePieces($estimator->plan, $estimator->log, $estimator->today, $scores, 0 === $step || $steps === $step),
                \count($scores),
                static fn (int $n): bool => $progress($done + $n, $all),
            );
            $members = SimulatedTank::members($tanks);
            $first = 0 === $step ? $members : $first;
            $scores = $step < $steps ? $estimator->step($scores, $members, $first, $step) : $scores;
        }

        return EstimatedTank::of($estimator, $prior, $first, $scores, $tanks);
    }

    /**
     * The tanks of an estimate where something is done in days to come.
     *
     * @param \Closure(int, int): bool $progress
     *
     * @return list<SimulatedTank>
     */
    public function then(Estimator $estimator, Estimate $estimate, Plan $plan, \Closure $progress): array
    {
        return $this->tanks(
            new EstimatePieces($estimator->plan, $estimator->log, $estimator->today, $estimate->scores, true, $plan),
            \count($estimate->scores),
            $progress,
        );
    }

    /**
     * @param \Closure(int, int): bool $progress
     *
     * @return list<SimulatedTank>
     */
    private function tanks(EstimatePieces $work, int $pieces, \Closure $progress): array
    {
        /** @var array<int, SimulatedTank> $tanks */
        $tanks = $this->processes->map($work, $pieces, $progress);
        if (\count($tanks) < $pieces) {
            throw new \RuntimeException('Stopped before there was an estimate.');
        }

        return array_values($tanks);
    }
}
