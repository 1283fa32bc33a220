<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

/** The standard normal distribution. */
final class Normal
{
    /** Beyond it nothing is told apart. */
    private const FAR = 6.0;
    /** P: Abramowitz & Stegun (1964), Handbook of mathematical functions, 26.2.17; error below 7.5e-8. */
    private const P = 0.2316419;
    private const B = [0.319381530, -0.356563782, 1.781477937, -1.821255978, 1.330274429];
    /** P: the same, 26.2.23; error below 4.5e-4. */
    private const C = [2.515517, 0.802853, 0.010328];
    private const D = [1.432788, 0.189269, 0.001308];
    /** Newton's steps: each doubles the digits, and after three there are no more to win. J. */
    private const NEWTON = 3;

    /** Share (0–1) that lies below. */
    public static function below(float $z): float
    {
        if ($z < 0) {
            return 1 - self::below(-$z);
        }
        $t = 1 / (1 + self::P * $z);
        [$b1, $b2, $b3, $b4, $b5] = self::B;
        $sum = (((($b5 * $t + $b4) * $t + $b3) * $t + $b2) * $t + $b1) * $t;

        return 1 - exp(-0.5 * $z * $z) / sqrt(2 * \M_PI) * $sum;
    }

    /** The value below which a share (0–1) lies: a first guess, then Newton's steps on below(), the first of which leaves 1e-6 at most. */
    public static function at(float $share): float
    {
        if ($share > 0.5) {
            return -self::at(1 - $share);
        }
        if ($share <= self::below(-self::FAR)) {
            return -self::FAR;
        }
        $t = sqrt(-2 * log($share));
        [$c0, $c1, $c2] = self::C;
        [$d1, $d2, $d3] = self::D;
        $z = ($c0 + ($c1 + $c2 * $t) * $t) / (1 + ($d1 + ($d2 + $d3 * $t) * $t) * $t) - $t;
        for ($n = 0; $n < self::NEWTON; ++$n) {
            $z += ($share - self::below($z)) * sqrt(2 * \M_PI) * exp(0.5 * $z * $z);
        }

        return max(-self::FAR, $z);
    }

    /** One drawn at random. P: Box & Muller (1958), A note on the generation of random normal deviates, Ann. Math. Stat. 29. */
    public static function drawn(\Random\Randomizer $dice): float
    {
        $share = static fn (): float => $dice->getInt(1, 1_000_000) / 1_000_001;

        return sqrt(-2 * log($share())) * cos(2 * \M_PI * $share());
    }
}
