<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Standing\SimulatedTank;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Smoother;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Log\TankState;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Work\WorkQueue;

/**
 * The parts of an estimate, a few of its tanks at a time, worked out from a state that is given and from parts that are kept: never from
 * the database, which may know more by now.
 */
final readonly class EstimateParts
{
    /** Tanks in a part, and parts of a step. */
    public const TANKS = 12;
    public const AT_ONCE = Estimator::MEMBERS / self::TANKS;
    public const PARTS = (Smoother::STEPS + 1) * self::AT_ONCE;

    public function __construct(private ResultCache $cache, private PlanDocument $document, private Editor $editor)
    {
    }

    public function estimator(TankState $state): Estimator
    {
        return new Estimator($state->plan($this->document), $state->log, $state->day);
    }

    /** @return list<SimulatedTank> */
    public function part(EstimateJob $job): array
    {
        $estimator = $this->estimator($job->state);
        $step = intdiv($job->part, self::AT_ONCE);
        $scores = $this->scores($job->state, $estimator, $step);
        $tanks = [];
        for ($n = ($job->part % self::AT_ONCE) * self::TANKS; $n < ($job->part % self::AT_ONCE + 1) * self::TANKS; ++$n) {
            $tanks[] = SimulatedTank::run($estimator, $scores[$n], 0 === $step || Smoother::STEPS === $step);
        }

        return $tanks;
    }

    /** @return list<SimulatedTank> the job's tanks, with something done */
    public function asked(AskJob $job): array
    {
        $estimator = $this->estimator($job->state);
        $then = $this->editor->apply($job->state->plan($this->document), $job->edits, UnitSystem::Metric)->plan;

        return array_map(static fn (array $of): SimulatedTank => SimulatedTank::run($estimator, $of, true, $then), $job->scores);
    }

    /**
     * Where the tanks stand at the beginning of a step.
     *
     * @return list<array<string, float>>
     */
    public function scores(TankState $state, Estimator $estimator, int $step): array
    {
        if (0 === $step) {
            return $estimator->prior();
        }
        $scores = $this->cache->get(
            self::name($state)."scores$step",
            fn (): array => $estimator->step(
                $this->scores($state, $estimator, $step - 1),
                SimulatedTank::members($this->tanks($state, $step - 1)),
                SimulatedTank::members($this->tanks($state, 0)),
                $step - 1,
            ),
        );

        /** @var list<array<string, float>> $scores */
        return $scores;
    }

    /** @return list<SimulatedTank> of a step whose parts are all known */
    public function tanks(TankState $state, int $step): array
    {
        $parts = $this->cache->all(array_map(
            static fn (int $n): string => WorkQueue::name(new EstimateJob($state, $step * self::AT_ONCE + $n)),
            range(0, self::AT_ONCE - 1),
        )) ?? throw new \RuntimeException('A part of the step before is missing.');
        /** @var list<array{list<SimulatedTank>}> $parts */

        return array_merge(...array_column($parts, 0));
    }

    /** By which a whole estimate is kept. */
    public static function name(TankState $state): string
    {
        return WorkQueue::name(new EstimateJob($state, 0)).'.whole';
    }
}
