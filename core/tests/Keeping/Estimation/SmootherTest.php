<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Estimation;

use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Matrix;
use Olvek\Core\Keeping\Estimation\Normal;
use Olvek\Core\Keeping\Estimation\Observation;
use Olvek\Core\Keeping\Estimation\Smoother;
use Olvek\Core\Nature\Water\Measure;
use PHPUnit\Framework\TestCase;

/** The mathematics of an estimate, against what is known in closed form. */
final class SmootherTest extends TestCase
{
    public function testOneNumberReadOnceStandsWhereBayesPutsIt(): void
    {
        // z ~ N(0, 1), read as 1.5 with noise 0.5: the posterior is N(1.5 / 1.25, 0.25 / 1.25).
        $members = array_map(
            static fn (int $n): array => ['z' => Normal::at(($n + 0.5) / 200), 'other' => Normal::at((($n * 77) % 200 + 0.5) / 200)],
            range(0, 199),
        );
        $read = [new Observation(1, Measure::Acidity, 1.5, 0.5)];
        for ($step = 0; $step < Smoother::STEPS; ++$step) {
            $members = Smoother::step($members, array_map(static fn (array $m): array => [$m['z']], $members), $read, $step, 0.0);
        }
        $mean = static fn (array $of): float => array_sum($of) / \count($of);
        $z = array_column($members, 'z');
        $variance = $mean(array_map(static fn (float $v): float => ($v - $mean($z)) ** 2, $z));
        self::assertEqualsWithDelta(1.2, $mean($z), 0.06);
        self::assertEqualsWithDelta(0.2, $variance, 0.05);
        // What has nothing to do with it stays, but for chance: 1/√200 is 0.07.
        self::assertEqualsWithDelta(0.0, $mean(array_column($members, 'other')), 0.14);
    }

    public function testRelaxedItStandsThereTooAndIsLessSure(): void
    {
        $members = array_map(static fn (int $n): array => ['z' => Normal::at(($n + 0.5) / 100)], range(0, 99));
        $predicted = array_map(static fn (array $m): array => [$m['z']], $members);
        $read = [new Observation(1, Measure::Acidity, 1.5, 0.2)];
        $mean = $variance = [];
        foreach ([0.0, 0.5] as $n => $relaxed) {
            $z = array_column(Smoother::step($members, $predicted, $read, 0, $relaxed), 'z');
            $mean[$n] = array_sum($z) / 100;
            $variance[$n] = array_sum(array_map(static fn (float $v): float => ($v - $mean[$n]) ** 2, $z)) / 99;
        }
        self::assertEqualsWithDelta($mean[0], $mean[1], 1e-9);
        // Half of the spread that went comes back.
        self::assertEqualsWithDelta((sqrt($variance[0]) + 1.0) / 2, sqrt($variance[1]), 0.02);
    }

    public function testWhereNothingShowedOnlyThoseThatWouldShowAreMoved(): void
    {
        $members = array_map(static fn (int $n): array => ['z' => Normal::at(($n + 0.5) / 40)], range(0, 39));
        $read = [new Observation(1, Measure::Ammonia, 0.0, 0.2, nothing: true)];
        $moved = Smoother::step($members, array_map(static fn (array $m): array => [max(0.0, $m['z'])], $members), $read, 0, 0.0);
        self::assertSame($members[3]['z'], $moved[3]['z']);
        self::assertLessThan($members[39]['z'], $moved[39]['z']);
    }

    public function testWithoutReadingsNobodyMoves(): void
    {
        self::assertSame([['z' => 1.0]], Smoother::step([['z' => 1.0]], [[]], [], 0));
    }

    public function testTheNormalDistributionIsThatOfTheTables(): void
    {
        // P: Abramowitz & Stegun (1964), table 26.1.
        foreach ([[0.0, 0.5], [1.0, 0.841345], [1.281552, 0.9], [1.959964, 0.975], [-1.0, 0.158655]] as [$z, $share]) {
            self::assertEqualsWithDelta($share, Normal::below($z), 1e-6);
            self::assertEqualsWithDelta($z, Normal::at($share), 1e-5);
        }
        $dice = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(1));
        $drawn = array_map(static fn (): float => Normal::drawn($dice), range(1, 4000));
        self::assertEqualsWithDelta(0.0, array_sum($drawn) / 4000, 0.05);
        self::assertEqualsWithDelta(1.0, array_sum(array_map(static fn (float $v): float => $v * $v, $drawn)) / 4000, 0.06);
    }

    public function testAMatrixIsSolved(): void
    {
        $matrix = [[4.0, 2.0, 0.6], [2.0, 5.0, 1.0], [0.6, 1.0, 3.0]];
        $found = Matrix::solve(Matrix::cholesky($matrix), [1.0, 2.0, 3.0]);
        foreach ($matrix as $n => $row) {
            self::assertEqualsWithDelta($n + 1.0, Matrix::dot($row, $found), 1e-9);
        }
    }

    public function testABandLeavesATenthOutOnEitherSide(): void
    {
        [$low, $middle, $high] = Estimate::among(array_map(floatval(...), range(1, 99)));
        self::assertEqualsWithDelta(10.0, $low, 0.4);
        self::assertEqualsWithDelta(50.0, $middle, 0.01);
        self::assertEqualsWithDelta(90.0, $high, 0.4);
        self::assertSame([2.0, 2.0, 2.0], Estimate::among([2.0]));
    }
}
