<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

use Olvek\Core\Judgement\Margin\Band;

/**
 * Whether a margin differs by more than nobody knows: both plans are run in the same uncertain tanks (Run\Ensemble), and it is clear where
 * eight of ten tanks agree on which way it goes. The same numbers stand in both, so that what is uncertain of either does not hide what
 * differs.
 */
final class Doubt
{
    /** Tanks: J, as few as tell a tenth from nine. */
    public const TANKS = 16;
    private const SHARES = [0.1, 0.9];
    private const NOTHING = 1e-9;

    /**
     * @param array<int, array<string, array{float, bool}>> $one   margins of each tank (Margin\Band::member)
     * @param array<int, array<string, array{float, bool}>> $other of the same tanks
     *
     * @return array<string, bool> by margin
     */
    public static function clear(array $one, array $other): array
    {
        $clear = [];
        foreach (array_keys($one[array_key_first($one) ?? 0] ?? []) as $margin) {
            $moves = [];
            foreach (array_intersect_key($one, $other) as $n => $judged) {
                $moves[] = $other[$n][$margin][0] - $judged[$margin][0];
            }
            sort($moves);
            if ([] === $moves) {
                continue;
            }
            [$low, $high] = array_map(static fn (float $share): float => Band::percentile($moves, $share), self::SHARES);
            $clear[$margin] = $low > self::NOTHING || $high < -self::NOTHING;
        }

        return $clear;
    }
}
