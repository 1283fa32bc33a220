<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

/**
 * Moves an ensemble towards what was read, in several small steps with the noise made larger for each: what it says after the last is the
 * prior and all readings together.
 *
 * P: Emerick & Reynolds (2013), Ensemble smoother with multiple data assimilation, Comput. Geosci. 55, 3–15. Chance correlations, of
 * which a
 * small ensemble is full, are tapered as in P: Furrer & Bengtsson (2007), Estimation of high-dimensional prior and posterior covariance
 * matrices in Kalman filter variants, J. Multivar. Anal. 98, 227–255.
 */
final class Smoother
{
    /** Steps; each takes the noise as so many times its variance, so that together they count the readings once. */
    public const STEPS = 3;
    private const SEED = 20_261_128;
    /**
     * Part of the spread that a step takes which is given back: few tanks believe too firmly what they learn. P: Whitaker & Hamill (2012),
     * Evaluating methods to account for system errors in ensemble data assimilation, Mon. Weather Rev. 140; how much, J.
     */
    private const RELAXED = 0.25;

    /**
     * One step.
     *
     * @param list<array<string, float>> $members   normal scores of each, by dimension
     * @param list<list<float>>          $predicted of each, by observation
     * @param list<Observation>          $observations
     * @param float                      $relaxed      0–1
     *
     * @return list<array<string, float>> where they stand afterwards
     */
    public static function step(
        array $members,
        array $predicted,
        array $observations,
        int $step,
        float $relaxed = self::RELAXED,
    ): array {
        $n = \count($members);
        if ([] === $observations || $n < 3) {
            return $members;
        }
        $dice = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(self::SEED + $step));
        $scale = sqrt($n - 1);
        $anomalies = $innovations = [];
        foreach ($observations as $j => $one) {
            $mean = array_sum(array_column($predicted, $j)) / $n;
            $noise = $one->noise;
            $perturbed = array_map(static fn (): float => Normal::drawn($dice), $members);
            $centre = array_sum($perturbed) / $n;
            foreach ($predicted as $i => $of) {
                $anomalies[$i][$j] = ($of[$j] - $mean) / $noise / $scale;
                // Where nothing showed, those in which nothing would have shown agree, and need not be shaken.
                $shaken = $one->nothing && $of[$j] <= $one->value ? 0.0 : sqrt(self::STEPS) * ($perturbed[$i] - $centre);
                $innovations[$i][$j] = ($one->value - $of[$j]) / $noise + $shaken;
            }
        }
        // (SᵀS + α)⁻¹ of n by n: the same gain as with a matrix of readings by readings, of which there may be a thousand.
        $inner = [];
        for ($i = 0; $i < $n; ++$i) {
            for ($k = 0; $k <= $i; ++$k) {
                $inner[$i][$k] = $inner[$k][$i] = Matrix::dot($anomalies[$i], $anomalies[$k]) + ($i === $k ? self::STEPS : 0.0);
            }
        }
        $root = Matrix::cholesky($inner);
        // Weights by which each reading pulls along each member's own difference: (SᵀS + α)⁻¹ Sᵀ.
        $pulls = [];
        foreach (array_keys($observations) as $j) {
            $pulls[$j] = Matrix::solve($root, array_column($anomalies, $j));
        }
        $spread = [];
        foreach (array_keys($observations) as $j) {
            $column = array_column($anomalies, $j);
            $spread[$j] = Matrix::dot($column, $column);
        }
        $moved = $members;
        foreach (array_keys($members[0]) as $dimension) {
            $scores = array_column($members, $dimension);
            $mean = array_sum($scores) / $n;
            $own = array_map(static fn (float $z): float => ($z - $mean) / $scale, $scores);
            $size = Matrix::dot($own, $own);
            foreach (array_keys($observations) as $j) {
                $covariance = 0.0;
                foreach ($own as $i => $z) {
                    $covariance += $z * $anomalies[$i][$j];
                }
                $square = $size > 0 && $spread[$j] > 0 ? $covariance * $covariance / $size / $spread[$j] : 0.0;
                $taper = $square / ($square + (1 + $square) / $n);
                $gain = $taper * Matrix::dot($own, $pulls[$j]);
                foreach ($innovations as $i => $of) {
                    $moved[$i][$dimension] += $gain * $of[$j];
                }
            }
            $after = array_column($moved, $dimension);
            $centre = array_sum($after) / $n;
            $left = sqrt(array_sum(array_map(static fn (float $z): float => ($z - $centre) ** 2, $after)) / ($n - 1));
            $wider = $left > 0.0 ? 1 + $relaxed * max(0.0, sqrt($size) - $left) / $left : 1.0;
            foreach ($after as $i => $z) {
                $moved[$i][$dimension] = $centre + $wider * ($z - $centre);
            }
        }

        return $moved;
    }
}
