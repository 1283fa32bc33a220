<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Fitting;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;

/**
 * The parameters that make a sum of squares least, within bounds: steps between Gauss-Newton and steepest descent, slopes by
 * central differences.
 *
 * P: Marquardt (1963), An algorithm for least-squares estimation of nonlinear parameters, J. SIAM 11, 431–441.
 */
final class LeastSquares
{
    /** Damping at the start, and by how much it falls or rises. P: Marquardt (1963). */
    private const DAMPING = 1e-2;
    private const FACTOR = 10.0;
    private const MOST_DAMPING = 1e8;
    /** Keeps a parameter that nothing tells of from dividing by nothing. */
    private const LEAST_SLOPE = 1e-15;

    /**
     * @param \Closure(float...): list<float>                           $residuals of parameters
     * @param non-empty-list<array{float, float, float, float}> $parameters start, least, most, and the step by which slopes are felt
     * @param float    $enough   share by which the sum must still fall for another step to be worth it
     * @param TimeLimit $patience when it is spent, the best so far is taken; asked before each step
     */
    public static function minimise(
        \Closure $residuals,
        array $parameters,
        float $enough = 1e-4,
        int $most = 30,
        TimeLimit $patience = new NoTimeLimit(),
    ): Minimum {
        $at = array_column($parameters, 0);
        $here = $residuals(...$at);
        $sum = self::square($here);
        $damping = self::DAMPING;
        $slopes = self::slopes($residuals, $at, $parameters);
        for ($turn = 0; $turn < $most && $damping < self::MOST_DAMPING && !$patience->isSpent(); ++$turn) {
            [$normal, $down] = self::normal($slopes, $here);
            $step = self::solve(
                array_map(
                    static fn (int $i, array $row): array => array_values(
                        array_replace($row, [$i => $row[$i] * (1 + $damping) + self::LEAST_SLOPE]),
                    ),
                    array_keys($normal),
                    $normal,
                ),
                $down,
            );
            $there = array_map(static fn (float $x, float $d, array $p): float => max($p[1], min($p[2], $x + $d)), $at, $step, $parameters);
            $then = $residuals(...$there);
            $next = self::square($then);
            if ($next >= $sum) {
                $damping *= self::FACTOR;
                continue;
            }
            $gain = ($sum - $next) / max($sum, 1e-30);
            [$at, $here, $sum] = [$there, $then, $next];
            $damping /= self::FACTOR;
            $slopes = self::slopes($residuals, $at, $parameters);
            if ($gain < $enough) {
                break;
            }
        }

        return new Minimum($at, $sum, self::inverse(self::normal($slopes, $here)[0]));
    }

    /** @param list<float> $values */
    private static function square(array $values): float
    {
        return self::dot($values, $values);
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function dot(array $a, array $b): float
    {
        return array_sum(array_map(static fn (float $x, float $y): float => $x * $y, $a, $b));
    }

    /**
     * @param \Closure(float...): list<float>                   $residuals
     * @param list<float>                                       $at
     * @param non-empty-list<array{float, float, float, float}> $parameters
     *
     * @return list<list<float>> slope of each residual, by parameter
     */
    private static function slopes(\Closure $residuals, array $at, array $parameters): array
    {
        $slopes = [];
        foreach ($parameters as $i => [, , , $step]) {
            $moved = static fn (float $by): array => array_values(array_replace($at, [$i => $at[$i] + $by]));
            $slopes[] = array_map(
                static fn (float $u, float $d): float => ($u - $d) / (2 * $step),
                $residuals(...$moved($step)),
                $residuals(...$moved(-$step)),
            );
        }

        return $slopes;
    }

    /**
     * @param list<list<float>> $slopes
     * @param list<float>       $residuals
     *
     * @return array{list<list<float>>, list<float>} JᵀJ, and −Jᵀr
     */
    private static function normal(array $slopes, array $residuals): array
    {
        return [
            array_map(static fn (array $a): array => array_map(static fn (array $b): float => self::dot($a, $b), $slopes), $slopes),
            array_map(static fn (array $a): float => -self::dot($a, $residuals), $slopes),
        ];
    }

    /**
     * Gauss elimination with pivots.
     *
     * @param list<list<float>> $matrix square
     * @param list<float>       $right
     *
     * @return list<float>
     */
    private static function solve(array $matrix, array $right): array
    {
        $n = \count($right);
        foreach ($right as $i => $value) {
            $matrix[$i][] = $value;
        }
        for ($column = 0; $column < $n; ++$column) {
            $pivot = $column;
            for ($row = $column + 1; $row < $n; ++$row) {
                $pivot = abs($matrix[$row][$column]) > abs($matrix[$pivot][$column]) ? $row : $pivot;
            }
            [$matrix[$column], $matrix[$pivot]] = [$matrix[$pivot], $matrix[$column]];
            if (0.0 === $matrix[$column][$column]) {
                // Nothing tells of this one: it stays where it is.
                $matrix[$column][$column] = 1.0;
                $matrix[$column][$n] = 0.0;
            }
            for ($row = 0; $row < $n; ++$row) {
                $share = $row === $column ? 0.0 : $matrix[$row][$column] / $matrix[$column][$column];
                for ($k = $column; 0.0 !== $share && $k <= $n; ++$k) {
                    $matrix[$row][$k] -= $share * $matrix[$column][$k];
                }
            }
        }
        $found = [];
        for ($i = 0; $i < $n; ++$i) {
            $found[] = $matrix[$i][$n] / $matrix[$i][$i];
        }

        return $found;
    }

    /**
     * @param list<list<float>> $matrix square
     *
     * @return list<list<float>>
     */
    private static function inverse(array $matrix): array
    {
        $n = \count($matrix);
        $columns = [];
        for ($i = 0; $i < $n; ++$i) {
            $columns[] = self::solve($matrix, array_map(static fn (int $k): float => $k === $i ? 1.0 : 0.0, range(0, $n - 1)));
        }

        return $columns;
    }
}
