<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Nature\Water\Measure;

/**
 * A test that could be made, and by how much it would narrow what is unknown: from how the tanks of an estimate that differ in what would
 * be read differ in what matters.
 */
final readonly class NextTest
{
    /** Days ahead on which a test may be made, and after which what matters is looked at. */
    private const WHEN = [0, 3, 7, 14];
    private const LATER = 28;
    /** What matters, and by how much it may be unknown without anybody minding. J. */
    private const MATTERS = [
        [Quantity::Ammonia, 0.1],
        [Quantity::Nitrite, 0.05],
        [Quantity::Nitrate, 2.0],
        [Quantity::Oxygen, 1.0],
        [Quantity::Acidity, 0.3],
        [Quantity::CarbonateHardness, 1.0],
    ];
    /** Share of the unknown that a test must take for it to be worth its drops. J. */
    private const WORTH = 0.05;

    /**
     * @param float $tells    share (0–1) of what is unknown, over all that matters, that it would take away
     * @param list<Quantity> $of what it would tell of, most first
     */
    private function __construct(public Measure $measure, public int $day, public float $tells, public array $of)
    {
    }

    /**
     * @param list<Member> $members
     *
     * @return list<self> one for each measure that is worth it, on its best day, the best first
     */
    public static function among(array $members, int $today): array
    {
        $weights = $targets = [];
        foreach (self::MATTERS as [$quantity, $mind]) {
            $column = array_map(static fn (Member $m): array => $m->column($quantity), $members);
            $day = min(\count($column[0]) - 1, $today + self::LATER);
            $targets[$quantity->value] = array_column($column, $day);
            // What is known well enough weighs little.
            $weights[$quantity->value] = min(1.0, sqrt(self::variance($targets[$quantity->value])) / $mind);
        }
        $sum = max(1e-9, array_sum($weights));
        $found = [];
        foreach (Quantity::cases() as $quantity) {
            $measure = $quantity->measure();
            if (null === $measure) {
                continue;
            }
            $scale = Scale::of($measure);
            $best = null;
            $columns = array_map(static fn (Member $m): array => $m->column($quantity), $members);
            foreach (self::WHEN as $ahead) {
                $read = array_map($scale->from(...), array_column($columns, min(\count($columns[0]) - 1, $today + $ahead)));
                $told = [];
                foreach ($targets as $of => $values) {
                    $told[$of] = ($weights[$of] ?? 0.0) * self::told($read, $values, $scale->noise);
                }
                $tells = array_sum($told) / $sum;
                if (null === $best || $tells > $best->tells + 0.01) {
                    arsort($told);
                    $best = new self(
                        $measure,
                        $today + $ahead,
                        $tells,
                        array_map(
                            Quantity::from(...),
                            array_keys(\array_slice(array_filter($told, static fn (float $t): bool => $t > self::WORTH), 0, 3)),
                        ),
                    );
                }
            }
            if ($best->tells > self::WORTH) {
                $found[] = $best;
            }
        }
        usort($found, static fn (self $a, self $b): int => $b->tells <=> $a->tells);

        return $found;
    }

    /**
     * Share of the variance of what matters that a reading would take, less what chance alone would.
     *
     * @param list<float> $read
     * @param list<float> $matters
     */
    private static function told(array $read, array $matters, float $noise): float
    {
        $n = \count($read);
        [$mean, $middle] = [array_sum($read) / $n, array_sum($matters) / $n];
        $covariance = 0.0;
        foreach ($read as $i => $value) {
            $covariance += ($value - $mean) * ($matters[$i] - $middle) / ($n - 1);
        }
        $both = (self::variance($read) + $noise * $noise) * self::variance($matters);
        $share = $both > 1e-18 ? $covariance * $covariance / $both : 0.0;

        return max(0.0, ($share - 1 / $n) / (1 - 1 / $n));
    }

    /** @param list<float> $values */
    private static function variance(array $values): float
    {
        $mean = array_sum($values) / \count($values);

        return array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / max(1, \count($values) - 1);
    }
}
