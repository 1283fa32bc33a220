<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Standing;

use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Member;

/** A running tank: what it holds, and how it stands. */
final readonly class EstimatedTank
{
    /** @param array<string, float> $likeliest scores of the likeliest tank, by dimension */
    private function __construct(public Estimate $estimate, public Standing $standing, public array $likeliest)
    {
    }

    /**
     * @param list<array<string, float>> $before scores before the readings
     * @param list<Member>               $prior  run with them
     * @param list<array<string, float>> $after  scores after the readings
     * @param list<SimulatedTank>        $tanks  run with them, and judged
     */
    public static function of(Estimator $estimator, array $before, array $prior, array $after, array $tanks): self
    {
        $likeliest = Estimator::middle($after);

        return new self(
            Estimate::of($estimator, $before, $prior, $after, SimulatedTank::members($tanks)),
            Standing::among($estimator->lived($likeliest, true), $estimator->today, SimulatedTank::prospects($tanks), $estimator->log),
            $likeliest,
        );
    }
}
