<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Keeping\Care\Effort;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Buying\RoughCost;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Simulation\Run\UsualCare;

/** One of the tanks that are compared: a plan, or one as it has really gone, with what a run of it comes to. */
final readonly class Side
{
    /**
     * @param non-empty-list<Message> $verdict
     * @param list<Margin> $margins
     * @param float        $kilograms standing
     * @param float        $minutes   of work a week once it has grown in
     */
    private function __construct(
        public Plan $plan,
        public Trace $trace,
        public MarginState $state,
        public array $verdict,
        public array $margins,
        public float $cost,
        public float $kilograms,
        public float $minutes,
    ) {
    }

    public static function of(Plan $plan, UnitSystem $units = UnitSystem::Metric): self
    {
        return self::judged($plan, (new Runner($plan))->run(Judge::FIRST_YEAR, UsualCare::events()), $units);
    }

    /** As it has gone up to a day by its logbook, and from then on as its plan says. */
    public static function lived(Plan $plan, Log $log, int $today, UnitSystem $units = UnitSystem::Metric): self
    {
        $actual = ActualPlan::upTo($plan, $log, $today, static fn (PlannedEvent $e): bool => true);
        $days = min(Plan::LAST_DAY, max(Judge::FIRST_YEAR, $today + 1));

        return self::judged($actual->plan, (new Runner($actual->plan))->run($days, $actual->events), $units);
    }

    private static function judged(Plan $plan, Trace $trace, UnitSystem $units): self
    {
        $judgement = Judge::fromTrace($plan, $trace, $units);

        return new self(
            $plan,
            $trace,
            $judgement->state,
            $judgement->verdict,
            $judgement->margins,
            RoughCost::of($plan)->value,
            Quantities::of($plan)->fullMass,
            Effort::weekly($plan, $trace),
        );
    }
}
