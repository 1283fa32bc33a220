<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Fitting;

use Olvek\Core\Keeping\Fitting\LeastSquares;
use PHPUnit\Framework\TestCase;

/** The solver against certified values. */
final class LeastSquaresTest extends TestCase
{
    /**
     * P: NIST Statistical Reference Datasets, nonlinear regression, Misra1a (D. Misra 1978, dental research, monomolecular adsorption):
     * y = b1 (1 − e^(−b2 x)), both certified starts. Data and certified values from memory; that the sum of squares comes out to
     * ten digits says that none of them is wrong.
     */
    public function testMisra1aFromBothStarts(): void
    {
        $x = [77.6, 114.9, 141.1, 190.8, 239.9, 289.0, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760.0];
        $y = [10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.4, 75.47, 81.78];
        $residuals = static fn (float ...$b): array => array_map(
            static fn (float $xi, float $yi): float => $b[0] * (1 - exp(-$b[1] * $xi)) - $yi,
            $x,
            $y,
        );
        foreach ([[500.0, 0.0001], [250.0, 0.0005]] as [$b1, $b2]) {
            $found = LeastSquares::minimise($residuals, [[$b1, 0.0, 1000.0, 1e-3], [$b2, 0.0, 1.0, 1e-8]], 1e-14, 200);
            self::assertEqualsWithDelta(2.3894212918e2, $found->at[0], 1e-4);
            self::assertEqualsWithDelta(5.5015643181e-4, $found->at[1], 1e-9);
            self::assertEqualsWithDelta(1.2455138894e-1, $found->sum, 1e-10);
            // Certified standard deviations of the parameters: residual variance times the covariance.
            $variance = $found->sum / (\count($x) - 2);
            self::assertEqualsWithDelta(2.7070075241, sqrt($variance * $found->covariance[0][0]), 1e-3);
            self::assertEqualsWithDelta(7.2668688436e-6, sqrt($variance * $found->covariance[1][1]), 1e-8);
        }
    }

    /**
     * A straight line, by hand: y = 1, 3, 5 at 0, 1, 2 is met exactly by 1 + 2x; (JᵀJ)⁻¹ of [[3, 3], [3, 5]] is [[5/6, −1/2], [−1/2, 1/2]].
     */
    public function testAStraightLineByHand(): void
    {
        $found = LeastSquares::minimise(
            static fn (float ...$b): array => [$b[0] - 1, $b[0] + $b[1] - 3, $b[0] + 2 * $b[1] - 5],
            [[0.0, -10.0, 10.0, 0.1], [0.0, -10.0, 10.0, 0.1]],
            1e-12,
            100,
        );
        self::assertEqualsWithDelta([1.0, 2.0], $found->at, 1e-6);
        self::assertEqualsWithDelta([[5 / 6, -0.5], [-0.5, 0.5]], $found->covariance, 1e-6);
    }

    public function testBoundsHold(): void
    {
        $found = LeastSquares::minimise(static fn (float ...$b): array => [$b[0] - 5], [[0.0, -1.0, 2.0, 0.1]], 1e-12, 50);
        self::assertEqualsWithDelta(2.0, $found->at[0], 1e-9);
    }

    public function testAParameterOfWhichNothingTellsStaysWhereItIs(): void
    {
        $found = LeastSquares::minimise(
            static fn (float ...$b): array => [$b[0] - 1.5],
            [[0.0, -5.0, 5.0, 0.1], [0.7, -5.0, 5.0, 0.1]],
            1e-12,
            50,
        );
        self::assertEqualsWithDelta([1.5, 0.7], $found->at, 1e-6);
    }
}
