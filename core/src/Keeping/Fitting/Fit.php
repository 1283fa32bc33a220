<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Fitting;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;

/**
 * A tank's own numbers, from its readings: the factors on soil, bacteria and plants that bring its run closest to them, held to
 * what is likely before anything was read. Bounded least squares on logarithms.
 */
final readonly class Fit
{
    /** Readings below which there is nothing to learn from. J. */
    public const FEWEST = 3;
    /** Share of a factor's first uncertainty above which the readings have told next to nothing of it. J. */
    private const UNTOLD = 0.8;
    /** Step in a logarithm by which slopes are felt. */
    private const STEP = 0.03;
    /** Share of the misfit below which another turn is not worth its runs, and turns at most. */
    private const ENOUGH = 1e-3;
    private const MOST_TURNS = 12;

    /**
     * @param array<string, float> $factors     by parameter
     * @param array<string, float> $spreads     standard deviation of each factor's logarithm
     * @param list<list<float>>    $covariance  of the logarithms, in the order of Tuned
     * @param list<array{Reading, float, float}> $readings each with what the plan's own run has there, and what the run with the
     *     factors has, mg N/L
     * @param list<float>          $before      residuals of the plan's own run
     * @param list<float>          $after       residuals with the factors
     */
    private function __construct(
        public array $factors,
        public array $spreads,
        public array $covariance,
        public array $readings,
        public array $before,
        public array $after,
    ) {
    }

    /**
     * @param TimeLimit $patience when it is spent, the best so far is taken
     *
     * @return self|null null where too little has been read
     */
    public static function of(ActualPlan $lived, Log $log, TimeLimit $patience = new NoTimeLimit()): ?self
    {
        $misfit = new Misfit($log);
        if (\count($misfit->readings) < self::FEWEST) {
            return null;
        }
        $days = 2 + max(array_map(static fn ($r): int => $r->day, $misfit->readings));
        $run = static fn (float ...$logs): Trace => (new Runner(
            $lived->plan,
            (new Parameters())->with(self::values(array_values($logs))),
        ))->run($days, $lived->events);
        $residuals = static fn (float ...$logs): array => [
            ...$misfit->residuals($run(...$logs)),
            ...array_map(static fn (Tuned $t, float $log): float => $log / $t->prior(), Tuned::cases(), array_values($logs)),
        ];
        $found = LeastSquares::minimise(
            $residuals,
            array_map(static fn (Tuned $t): array => [0.0, $t->bounds()[0], $t->bounds()[1], self::STEP], Tuned::cases()),
            self::ENOUGH,
            self::MOST_TURNS,
            $patience,
        );
        $planned = $run(...array_map(static fn (Tuned $t): float => 0.0, Tuned::cases()));
        $learned = $run(...$found->at);
        $spreads = [];
        foreach (Tuned::cases() as $i => $tuned) {
            $spreads[$tuned->value] = sqrt(max(0.0, $found->covariance[$i][$i]));
        }

        return new self(
            self::values($found->at),
            $spreads,
            $found->covariance,
            array_map(
                static fn (Reading $r): array => [$r, $misfit->modelled($planned, $r), $misfit->modelled($learned, $r)],
                $misfit->readings,
            ),
            $misfit->residuals($planned),
            $misfit->residuals($learned),
        );
    }

    /** @return list<Tuned> of which the readings have told next to nothing */
    public function untold(): array
    {
        return array_values(array_filter(Tuned::cases(), fn (Tuned $t): bool => $this->spreads[$t->value] > self::UNTOLD * $t->prior()));
    }

    /**
     * Within which a factor lies in eight of ten cases.
     *
     * @return array{float, float}
     */
    public function range(Tuned $tuned): array
    {
        // 1.2816: the normal distribution's 90th percentile.
        $half = 1.2816 * $this->spreads[$tuned->value];

        return [$this->factors[$tuned->value] * exp(-$half), $this->factors[$tuned->value] * exp($half)];
    }

    /**
     * How far readings are from a run, on the mean; 1 being as far as a test may well be off.
     *
     * @param list<float> $residuals
     */
    public static function distance(array $residuals): float
    {
        $squares = array_map(static fn (float $r): float => $r * $r, $residuals);

        return [] === $squares ? 0.0 : sqrt(array_sum($squares) / \count($squares));
    }

    /**
     * @param list<float> $logs
     *
     * @return array<string, float> factor by parameter
     */
    public static function values(array $logs): array
    {
        $values = [];
        foreach (Tuned::cases() as $i => $tuned) {
            $values[$tuned->value] = exp($logs[$i]);
        }

        return $values;
    }
}
