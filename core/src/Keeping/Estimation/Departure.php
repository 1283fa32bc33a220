<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Basis\Unit\Words;

/**
 * By how much a tank stands off the best that its plan and the run can make of what was read: something goes on in it that neither tells
 * of. It holds near the readings that show it, part of it stays, and the rest fades with time.
 *
 * P: Kennedy & O'Hagan (2001), Bayesian calibration of computer models, J. R. Stat. Soc. B 63, 425–464 (that a model's own lack is
 * estimated beside its parameters). Half of it is taken to stay as it is: a heater set higher, a stone laid in, and so it goes on ahead;
 * the likeness of the other half from day to day as exp(−days/60), of warmth, whose weather passes, exp(−days/8). J.
 */
final readonly class Departure
{
    private const DAYS = 60.0;
    /** Of warmth: weather passes sooner than stones. */
    private const WARM_DAYS = 8.0;
    /** Share of it, in squares, that stays. J (0.3–0.8). */
    private const STAYS = 0.5;
    private const SEED = 20_261_129;
    /** Least variance, in those of the readings' own noise, that is more than chance. J. */
    private const LEAST = 0.3;

    /**
     * @param list<float> $mean   by day, on the measure's scale
     * @param list<float> $spread standard deviation, likewise
     */
    private function __construct(public Quantity $quantity, public array $mean, public array $spread)
    {
    }

    /**
     * @param list<Observation> $observations as they are believed
     * @param list<Member>      $members      run to the end with the last scores
     *
     * @return array<string, self> by quantity, of those that stand off
     */
    public static function among(array $observations, array $members): array
    {
        $found = [];
        $days = \count($members[0]->column(Quantity::Nitrate));
        foreach (Quantity::cases() as $quantity) {
            $off = $noise = $on = [];
            foreach ($observations as $j => $one) {
                if (null === $one->clump && null !== $quantity->measure() && $one->measure === $quantity->measure()) {
                    $predicted = array_map(static fn (Member $m): float => $m->predicted[$j], $members);
                    $off[] = $one->value - array_sum($predicted) / \count($predicted);
                    // What the tanks are at odds about is noise here too.
                    $noise[] = Scale::of($one->measure)->noise ** 2 * $one->shared + self::variance($predicted);
                    $on[] = $one->day;
                }
            }
            $found[$quantity->value] = [] === $off ? null : self::of($quantity, $off, $noise, $on, $days);
        }

        return array_filter($found, static fn (?self $d): bool => null !== $d);
    }

    /** "KH stands above what plan and logbook explain: something goes on that neither tells of". */
    public function words(): string
    {
        return \sprintf(
            '%s %s what plan and logbook explain: something goes on that neither tells of',
            Words::capital($this->quantity->label()),
            array_sum($this->mean) >= 0.0 ? 'stands above' : 'stands below',
        );
    }

    /**
     * A tank with what it stands off.
     *
     * @param list<float> $column its days
     *
     * @return list<float>
     */
    public function moved(array $column, int $tank): array
    {
        $measure = $this->quantity->measure();
        if (null === $measure) {
            return $column;
        }
        $scale = Scale::of($measure);
        [$least, $most] = $measure->bounds();
        $dice = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(self::SEED + crc32($this->quantity->value) + $tank));
        $own = Normal::drawn($dice);
        $last = \count($this->mean) - 1;
        $moved = [];
        foreach ($column as $n => $value) {
            $day = min($last, $n);
            $moved[] = max($least, min($most, $scale->base($scale->from($value) + $this->mean[$day] + $this->spread[$day] * $own)));
        }

        return $moved;
    }

    /**
     * @param list<float> $off   readings over the tanks' mean
     * @param list<float> $noise variances of it
     * @param list<int>   $on    days
     */
    private static function of(Quantity $quantity, array $off, array $noise, array $on, int $days): ?self
    {
        $n = max(1, \count($off));
        $variance = (array_sum(array_map(static fn (float $v): float => $v * $v, $off)) - array_sum($noise)) / $n;
        if ($variance < self::LEAST * array_sum($noise) / $n) {
            return null;
        }
        $lasts = Quantity::Temperature === $quantity ? self::WARM_DAYS : self::DAYS;
        $alike = static fn (int $a, int $b): float => $variance * (self::STAYS + (1 - self::STAYS) * exp(-abs($a - $b) / $lasts));
        $matrix = [];
        foreach ($on as $i => $day) {
            foreach ($on as $k => $other) {
                $matrix[$i][$k] = $alike($day, $other) + ($i === $k ? $noise[$i] : 0.0);
            }
        }
        $root = Matrix::cholesky($matrix);
        $weights = Matrix::solve($root, $off);
        $mean = $spread = [];
        for ($day = 0; $day < $days; ++$day) {
            $near = array_map(static fn (int $other): float => $alike($day, $other), $on);
            $mean[] = Matrix::dot($near, $weights);
            $spread[] = sqrt(max(0.0, $variance - Matrix::dot($near, Matrix::solve($root, $near))));
        }

        return new self($quantity, $mean, $spread);
    }

    /** @param list<float> $values */
    private static function variance(array $values): float
    {
        $mean = array_sum($values) / \count($values);

        return array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / max(1, \count($values) - 1);
    }
}
