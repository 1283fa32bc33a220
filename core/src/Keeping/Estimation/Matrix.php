<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

/** The little linear algebra that an ensemble needs: symmetric positive matrices of some tens of rows, as nested arrays. */
final class Matrix
{
    /**
     * @param array<int, float> $a
     * @param array<int, float> $b
     */
    public static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $i => $value) {
            $sum += $value * $b[$i];
        }

        return $sum;
    }

    /**
     * @param array<int, array<int, float>> $matrix symmetric, positive
     *
     * @return array<int, array<int, float>> lower triangle
     */
    public static function cholesky(array $matrix): array
    {
        $root = [];
        foreach (array_keys($matrix) as $i) {
            for ($k = 0; $k <= $i; ++$k) {
                $sum = $matrix[$i][$k];
                for ($m = 0; $m < $k; ++$m) {
                    $sum -= $root[$i][$m] * $root[$k][$m];
                }
                $root[$i][$k] = $i === $k ? sqrt(max(1e-12, $sum)) : $sum / $root[$k][$k];
            }
        }

        return $root;
    }

    /**
     * @param array<int, array<int, float>> $root
     * @param array<int, float>             $right
     *
     * @return array<int, float>
     */
    public static function solve(array $root, array $right): array
    {
        $n = \count($right);
        $found = [];
        for ($i = 0; $i < $n; ++$i) {
            $sum = $right[$i];
            for ($k = 0; $k < $i; ++$k) {
                $sum -= $root[$i][$k] * $found[$k];
            }
            $found[$i] = $sum / $root[$i][$i];
        }
        for ($i = $n - 1; $i >= 0; --$i) {
            $sum = $found[$i];
            for ($k = $i + 1; $k < $n; ++$k) {
                $sum -= $root[$k][$i] * $found[$k];
            }
            $found[$i] = $sum / $root[$i][$i];
        }

        return $found;
    }
}
