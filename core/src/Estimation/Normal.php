<?php

declare(strict_types=1);

namespace Olvek\Core\Estimation;

/** The standard normal distribution. */
final class Normal
{
    /** Beyond it nothing is told apart. */
    private const FAR = 6.0;
    /** P: Abramowitz & Stegun (1964), Handbook of mathematical functions, 26.2.17; error below 7.5e-8. */
    private const P = 0.2316419;
    private const B = [0.319381530, -0.356563782, 1.781477937, -1.821255978, 1.330274429];

    /** Share (0–1) that lies below. */
    public static function below(float $z): float
    {
        if ($z < 0) {
            return 1 - self::below(-$z);
        }
        $t = 1 / (1 + self::P * $z);
        $sum = 0.0;
        foreach (array_reverse(self::B) as $b) {
            $sum = ($sum + $b) * $t;
        }

        return 1 - exp(-0.5 * $z * $z) / sqrt(2 * \M_PI) * $sum;
    }

    /** The value below which a share (0–1) lies. */
    public static function at(float $share): float
    {
        [$low, $high] = [-self::FAR, self::FAR];
        for ($n = 0; $n < 50; ++$n) {
            $middle = ($low + $high) / 2;
            self::below($middle) < $share ? ($low = $middle) : ($high = $middle);
        }

        return ($low + $high) / 2;
    }

    /** One drawn at random. P: Box & Muller (1958), A note on the generation of random normal deviates, Ann. Math. Stat. 29. */
    public static function drawn(\Random\Randomizer $dice): float
    {
        $share = static fn (): float => $dice->getInt(1, 1_000_000) / 1_000_001;

        return sqrt(-2 * log($share())) * cos(2 * \M_PI * $share());
    }
}
