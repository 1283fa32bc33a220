<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Core\Simulation\Run\Drift;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Simulation\Run\Runner;

/**
 * A tank as it is today, from all that was read of it: many tanks whose uncertain numbers differ go the way that plan and logbook tell, and
 * those numbers are moved until what the tanks hold agrees with the readings (Smoother). Beside what every band varies, each tank's plants
 * and feeding drift from month to month, what was planned and is in no logbook has happened in half of them, some keepers change water and
 * log nothing, and each kit reads off by something of its own, which is the kit's and not the tank's.
 *
 * It can be worked out in pieces: any tank of any step by whoever has time, then the step.
 */
final readonly class Estimator
{
    /** Tanks. J: fewer make correlations of chance, more take longer than a keeper waits. */
    public const MEMBERS = 48;
    /** Days ahead. J: two months. */
    public const AHEAD = 56;

    /**
     * Standard deviations of the logarithms by which growth and food drift, and how much of it stays from one stretch to the next. J: light
     * through a window, a lamp that ages, a hand that feeds by eye.
     */
    private const GROWTH = 0.25;
    private const FOOD = 0.3;
    private const STAYS = 0.7;
    /** Beyond these places (0–1) a range has no more to give. */
    private const OUTERMOST = 0.001;

    /** @var list<Observation> */
    public array $observations;
    /** @var list<PlannedEvent> that may have happened or not */
    public array $unlogged;

    /** @param int $today after filling */
    public function __construct(public Plan $plan, public Log $log, public int $today)
    {
        $this->observations = Observations::of($plan, $log, $today);
        $this->unlogged = ActualPlan::unlogged($plan, $log, $today);
    }

    /**
     * The tanks before anything was read.
     *
     * @return list<array<string, float>> normal scores of each, by dimension
     */
    public function prior(): array
    {
        $ensemble = $this->ensemble($this->plan);
        $dimensions = $ensemble->dimensions();
        for ($stretch = 0; $stretch <= intdiv($this->today, Drift::STRETCH); ++$stretch) {
            $dimensions[] = "drift growth $stretch";
            $dimensions[] = "drift food $stretch";
        }
        foreach ($this->unlogged as $event) {
            $dimensions[] = "event $event->id";
        }
        $dimensions[] = UnloggedChanges::DIMENSION;
        foreach ($this->measures() as $measure) {
            $dimensions[] = "kit $measure";
        }
        $members = array_fill(0, self::MEMBERS, []);
        foreach ($dimensions as $dimension) {
            foreach ($ensemble->places($dimension) as $n => $place) {
                $members[$n][$dimension] = Normal::at($place);
            }
        }

        return array_values($members);
    }

    /**
     * One tank, run to the end of the days ahead where its days are wanted, else to the last reading.
     *
     * @param array<string, float> $scores of its numbers
     * @param Plan|null            $plan   another than the tank's own, which differs only in days to come
     */
    public function run(array $scores, bool $whole, ?Plan $plan = null): Member
    {
        return $this->member($this->lived($scores, $whole, $plan), $scores, $whole);
    }

    /**
     * The same, with all that the run leaves behind.
     *
     * @param array<string, float> $scores
     */
    public function lived(array $scores, bool $whole, ?Plan $plan = null): Lived
    {
        $actual = ActualPlan::upTo(
            $plan ?? $this->plan,
            $this->log,
            $this->today,
            static fn (PlannedEvent $e): bool => ($scores["event $e->id"] ?? 1.0) > 0,
        );
        [$varied, $parameters] = $this->ensemble($actual->plan)->at(self::place($scores));
        $last = [] === $this->observations ? 0 : max(array_map(static fn (Observation $o): int => $o->day, $this->observations));
        $days = min(Plan::LAST_DAY, $whole ? $this->today + 1 + self::AHEAD : $last + 1);
        $events = [...$actual->events, ...UnloggedChanges::in($scores)];

        return new Lived(
            $actual->plan,
            $varied,
            $parameters,
            (new Runner($varied, $parameters, $this->drift($scores)))->run(max(1, $days), $events, pace: Pace::Rough),
        );
    }

    /**
     * What is kept of a tank that was run.
     *
     * @param array<string, float> $scores with which it was run
     */
    public function member(Lived $lived, array $scores, bool $whole): Member
    {
        $bias = static fn (Observation $o): float => $scores["kit {$o->measure->value}"] ?? 0.0;

        return Member::of(
            array_map(
                static fn (Observation $o): float => $o->predicted($lived->trace, $lived->actual, $bias($o)),
                $this->observations,
            ),
            $whole ? $lived->trace : null,
        );
    }

    /**
     * Where the tanks stand after a step.
     *
     * @param list<array<string, float>> $scores
     * @param list<Member>               $members that were run with them
     * @param list<Member>               $first   that were run before the readings
     *
     * @return list<array<string, float>>
     */
    public function step(array $scores, array $members, array $first, int $step): array
    {
        return Smoother::step($scores, self::predicted($members), $this->believed($first), $step);
    }

    /**
     * The readings as far as they are believed to tell of the tank's numbers.
     *
     * @param list<Member> $first that were run before the readings
     *
     * @return list<Observation>
     */
    public function believed(array $first): array
    {
        return Observations::believed($this->observations, self::predicted($first));
    }

    /**
     * @param list<Member> $members
     *
     * @return list<list<float>>
     */
    private static function predicted(array $members): array
    {
        return array_map(static fn (Member $m): array => $m->predicted, $members);
    }

    /** @return list<string> measures that were read, each once */
    private function measures(): array
    {
        return array_values(array_unique(array_map(static fn (Observation $o): string => $o->measure->value, $this->observations)));
    }

    /**
     * Where nitrogen came from and went in a stretch of days, in the middle one of the tanks.
     *
     * @param list<array<string, float>> $scores of the tanks
     */
    public function books(array $scores, int $from, int $to): Books
    {
        [$actual, $runner] = $this->tank(self::middle($scores), $this->plan);

        return Books::of($actual, $runner, $this->log, $from, min($to, $this->today));
    }

    /**
     * The middle one of the tanks.
     *
     * @param list<array<string, float>> $scores
     *
     * @return array<string, float>
     */
    public static function middle(array $scores): array
    {
        $middle = [];
        foreach (array_keys($scores[0] ?? []) as $dimension) {
            $column = array_column($scores, $dimension);
            $middle[$dimension] = array_sum($column) / \count($column);
        }

        return $middle;
    }

    /** All at once. @return Estimate|null null where there was no time for it */
    public function estimate(TimeLimit $patience = new NoTimeLimit()): ?Estimate
    {
        $scores = $this->prior();
        $prior = [];
        for ($step = 0; $step <= Smoother::STEPS; ++$step) {
            $members = [];
            foreach ($scores as $of) {
                if ($patience->isSpent()) {
                    return null;
                }
                $members[] = $this->run($of, 0 === $step || Smoother::STEPS === $step);
            }
            if (0 === $step) {
                $prior = $members;
            }
            if (Smoother::STEPS === $step || [] === $this->observations) {
                return Estimate::of($this, $this->prior(), $prior, $scores, $members);
            }
            $scores = $this->step($scores, $members, $prior, $step);
        }

        throw new \LogicException('the last step ends it');
    }

    /**
     * A tank's ways, as factors on what the plan says and parameters have for usual.
     *
     * @param array<string, float> $scores
     *
     * @return array{growth: float, food: float, light: float, evaporation: float, soil: float}
     */
    public function inputs(array $scores): array
    {
        [$plan, $parameters] = $this->ensemble($this->plan)->at(self::place($scores));
        $drift = $this->drift($scores);

        return [
            'growth' => $parameters->plantGrowth * $drift->growth($this->today),
            'food' => $plan->feed->grams / max(1e-9, $this->plan->feed->grams) * $drift->food($this->today),
            'light' => $plan->lamp->landing / max(1e-9, $this->plan->lamp->landing),
            'evaporation' => $parameters->evaporation,
            'soil' => $parameters->flushFactor,
        ];
    }

    /**
     * Where a tank's numbers stand in their ranges; in the middle where there is no score, since another plan brought them.
     *
     * @param array<string, float> $scores
     *
     * @return \Closure(string): float
     */
    private static function place(array $scores): \Closure
    {
        return static fn (string $dimension): float => max(
            self::OUTERMOST,
            min(1 - self::OUTERMOST, Normal::below($scores[$dimension] ?? 0.0)),
        );
    }

    /**
     * @param array<string, float> $scores
     *
     * @return array{ActualPlan, Runner}
     */
    private function tank(array $scores, Plan $plan): array
    {
        $actual = ActualPlan::upTo(
            $plan,
            $this->log,
            $this->today,
            static fn (PlannedEvent $e): bool => ($scores["event $e->id"] ?? 1.0) > 0,
        );
        [$varied, $parameters] = $this->ensemble($actual->plan)->at(self::place($scores));

        return [$actual, new Runner($varied, $parameters, $this->drift($scores))];
    }

    private function ensemble(Plan $plan): Ensemble
    {
        return new Ensemble($plan, self::MEMBERS);
    }

    /** @param array<string, float> $scores */
    private function drift(array $scores): Drift
    {
        $factors = ['growth' => [], 'food' => []];
        foreach (['growth' => self::GROWTH, 'food' => self::FOOD] as $of => $size) {
            $now = null;
            for ($stretch = 0; isset($scores["drift $of $stretch"]); ++$stretch) {
                $new = $scores["drift $of $stretch"];
                $now = null === $now ? $new : self::STAYS * $now + sqrt(1 - self::STAYS ** 2) * $new;
                $factors[$of][] = exp($size * $now);
            }
        }

        return new Drift($factors['growth'], $factors['food']);
    }
}
