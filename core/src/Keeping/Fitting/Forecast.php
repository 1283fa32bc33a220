<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Fitting;

use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Core\Simulation\Run\Runner;

/**
 * What a tank's water will hold, as many tanks whose uncertain numbers differ have it; those that agree with the readings count more.
 * Without a fit it is what the plan alone would have said.
 */
final readonly class Forecast
{
    /** J: enough for a band that does not jump, few enough to be computed while a keeper reads. */
    public const MEMBERS = 48;
    /** Members that must go on counting, whatever the readings say: as share of all. J: fewer would leave a band of chance. */
    private const LEAST_COUNTING = 0.3;
    /** What is kept of each tank. */
    public const MEASURES = [Measure::Ammonia, Measure::Nitrite, Measure::Nitrate];

    /** Shares (0–1) of tanks that make a band: one, five and nine of ten. */
    private const SHARES = [0.1, 0.5, 0.9];
    /** By which a sum of weights may miss what it should be. */
    private const ROUNDING = 1e-9;

    /** @var array<string, list<array{float, float, float}>> mg N/L by measure and day, below which one, five and nine of ten tanks lie */
    public array $bands;

    /**
     * @param non-empty-list<Member> $members
     * @param non-empty-list<float>  $weights of the members, together 1
     */
    private function __construct(public array $members, private array $weights)
    {
        $bands = [];
        foreach (self::MEASURES as $measure) {
            for ($day = 0; $day < $this->days(); ++$day) {
                /** @var array{float, float, float} $band */
                $band = $this->quantiles(
                    array_map(static fn (Member $m): float => $m->columns[$measure->value][$day], $members),
                    self::SHARES,
                );
                $bands[$measure->value][] = $band;
            }
        }
        $this->bands = $bands;
    }

    /** One of the tanks; the same for the same plan, log, fit and number. */
    public static function member(ActualPlan $lived, Log $log, ?Fit $fit, int $days, int $n): Member
    {
        $ensemble = new Ensemble($lived->plan, self::MEMBERS);
        [$plan, $parameters] = $ensemble->member($n);
        if (null !== $fit) {
            // What soil gives off has been learned: its own range no longer counts.
            $plan = $plan->withBed($lived->plan->bed);
            $parameters = $parameters->with(self::drawn($fit, $ensemble, $n));
        }
        $trace = (new Runner($plan, $parameters))->run($days, $lived->events);
        $columns = [];
        foreach (self::MEASURES as $measure) {
            $columns[$measure->value] = array_map(static fn (float $v): float => round($v, 5), $trace->columns[$measure->value]);
        }

        return new Member($columns, array_sum(array_map(static fn (float $r): float => $r * $r, (new Misfit($log))->residuals($trace))));
    }

    /**
     * @param non-empty-list<Member> $members
     * @param bool                   $weigh   whether readings decide how much each counts
     */
    public static function of(array $members, bool $weigh): self
    {
        $weights = self::weights($members, $weigh ? 1.0 : 0.0);
        if ($weigh && self::counting($weights) < self::LEAST_COUNTING * \count($members)) {
            [$soft, $hard] = [0.0, 1.0];
            for ($turn = 0; $turn < 24; ++$turn) {
                $middle = ($soft + $hard) / 2;
                self::counting(self::weights($members, $middle)) < self::LEAST_COUNTING * \count($members)
                    ? ($hard = $middle)
                    : ($soft = $middle);
            }
            $weights = self::weights($members, $soft);
        }

        return new self($members, $weights);
    }

    public function days(): int
    {
        return \count($this->members[0]->columns[Measure::Ammonia->value]);
    }

    /**
     * Within which eight of ten tanks lie on a day, and the middle one, mg N/L.
     *
     * @return array{float, float, float} low, middle, high
     *
     * @throws \OutOfBoundsException for a measure that is not forecast
     */
    public function band(Measure $measure, int $day): array
    {
        return ($this->bands[$measure->value] ??
            throw new \OutOfBoundsException("$measure->value is not forecast"))[max(0, min($this->days() - 1, $day))];
    }

    /**
     * First days from which, for so many days on, neither ammonia nor nitrite would show: the day by which one, five and nine of ten
     * tanks have come to it; null for those that do not within the forecast.
     *
     * @return array{early: ?int, likely: ?int, late: ?int}
     */
    public function quiet(int $from, int $for = 2): array
    {
        $quiet = array_map(static fn (Member $m): float => self::firstQuiet($m, $from, $for), $this->members);
        $days = $this->quantiles($quiet, self::SHARES);
        [$early, $likely, $late] = array_map(static fn (float $day): ?int => is_infinite($day) ? null : (int) ceil($day), $days);

        return ['early' => $early, 'likely' => $likely, 'late' => $late];
    }

    /**
     * Whether a reading lies above (1) or below (−1) what eight of ten tanks have on its day, by more than a test may well be off; else 0.
     */
    public function stands(Reading $reading): int
    {
        $least = $reading->measure->nothingBelow();
        [$low, , $high] = $this->band($reading->measure, $reading->day);
        $off = exp(Misfit::NOISE);

        return match (true) {
            $reading->value > max($least, $high * $off) => 1,
            $reading->isNothing() ? $low > 2 * $least : $reading->value < $low / $off => -1,
            default => 0,
        };
    }

    private static function firstQuiet(Member $member, int $from, int $for): float
    {
        $quiet = 0;
        foreach ($member->columns[Measure::Ammonia->value] as $day => $ammonia) {
            if ($day < $from) {
                continue;
            }
            $quiet =
                $ammonia < Measure::Ammonia->nothingBelow()
                && $member->columns[Measure::Nitrite->value][$day] < Measure::Nitrite->nothingBelow()
                    ? $quiet + 1
                    : 0;
            if ($quiet === $for) {
                return (float) ($day - $for + 1);
            }
        }

        return \INF;
    }

    /**
     * The values that shares of the tanks lie below.
     *
     * @param non-empty-list<float> $values of the members
     * @param list<float>           $shares 0–1, rising
     *
     * @return list<float>
     */
    private function quantiles(array $values, array $shares): array
    {
        asort($values);
        $sum = 0.0;
        $found = [];
        foreach ($values as $n => $value) {
            $sum += $this->weights[$n];
            while (\count($found) < \count($shares) && $sum >= $shares[\count($found)] - self::ROUNDING) {
                $found[] = $value;
            }
        }

        return $found;
    }

    /**
     * Fitted parameters of a member: drawn around the fit as sure as the fit is.
     *
     * @return array<string, float>
     */
    private static function drawn(Fit $fit, Ensemble $ensemble, int $n): array
    {
        $root = self::root($fit->covariance);
        $normal = [];
        foreach (Tuned::cases() as $tuned) {
            // P: Box & Muller (1958), A note on the generation of random normal deviates, Ann. Math. Stat. 29.
            $normal[] =
                sqrt(-2 * log($ensemble->place("$tuned->value fitted, far", $n))) *
                cos(2 * \M_PI * $ensemble->place("$tuned->value fitted, way", $n));
        }
        $logs = [];
        foreach (Tuned::cases() as $i => $tuned) {
            $log = log($fit->factors[$tuned->value]);
            for ($j = 0; $j <= $i; ++$j) {
                $log += $root[$i][$j] * $normal[$j];
            }
            [$least, $most] = $tuned->bounds();
            $logs[] = max($least, min($most, $log));
        }

        return Fit::values($logs);
    }

    /**
     * The lower triangle whose product with its transpose is the matrix (Cholesky).
     *
     * @param list<list<float>> $matrix symmetric, not negative
     *
     * @return array<int, array<int, float>>
     */
    private static function root(array $matrix): array
    {
        $root = [];
        foreach ($matrix as $i => $row) {
            for ($j = 0; $j <= $i; ++$j) {
                $sum = $row[$j];
                for ($k = 0; $k < $j; ++$k) {
                    $sum -= $root[$i][$k] * $root[$j][$k];
                }
                $root[$i][$j] = $i === $j ? sqrt(max(1e-12, $sum)) : $sum / $root[$j][$j];
            }
        }

        return $root;
    }

    /**
     * @param non-empty-list<Member> $members
     *
     * @return non-empty-list<float>
     */
    private static function weights(array $members, float $trust): array
    {
        $least = min(array_map(static fn (Member $m): float => $m->misfit, $members));
        $weights = array_map(static fn (Member $m): float => exp(-0.5 * $trust * ($m->misfit - $least)), $members);
        $sum = array_sum($weights);

        return array_map(static fn (float $w): float => $w / $sum, $weights);
    }

    /**
     * How many members count, as if evenly. P: Kish (1965), Survey sampling.
     *
     * @param non-empty-list<float> $weights
     */
    private static function counting(array $weights): float
    {
        return 1 / array_sum(array_map(static fn (float $w): float => $w * $w, $weights));
    }
}
