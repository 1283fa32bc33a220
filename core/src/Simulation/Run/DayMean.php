<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * Mean mass of living things over a day, foreseen from how they grew the day before: rates that act on it make the daily step
 * second order, where the mass at daybreak would leave fast growers a few percent behind each day.
 *
 * @internal
 */
final class DayMean
{
    /** Log growth a day beyond which nothing is foreseen. J. */
    private const MOST = 0.7;
    /** Growth within which the series of x/ln(1 + x) to the fifth term stands for it: right to 1e-13 there. */
    private const SMALL = 0.01;

    /** @var array<int, float> times what there is at daybreak that the day's mean will be */
    private array $factors = [];
    /** @var array<int, float> */
    private array $before = [];

    /**
     * @param array<int, float> $masses at daybreak
     *
     * @return array<int, float> means over the day to come
     */
    public function means(array $masses): array
    {
        $this->before = $masses;
        $factors = $this->factors;
        if ([] === $factors) {
            return $masses;
        }
        foreach ($masses as $i => $mass) {
            $masses[$i] = $mass * $factors[$i];
        }

        return $masses;
    }

    /**
     * The mean of what grows from 1 to 1 + x steadily in proportion to itself is x/ln(1 + x).
     *
     * @param array<int, float> $masses at the day's end
     */
    public function learn(array $masses): void
    {
        $before = $this->before;
        foreach ($masses as $i => $mass) {
            $was = $before[$i];
            if ($was <= 0 || $mass <= 0) {
                $masses[$i] = 1.0;
                continue;
            }
            $more = $mass / $was - 1;
            $masses[$i] = $more < self::SMALL && $more > -self::SMALL
                ? 1 + $more * (1 / 2 - $more * (1 / 12 - $more * (1 / 24 - $more * (19 / 720 - ($more * 3) / 160))))
                : self::far($more);
        }
        $this->factors = $masses;
    }

    private static function far(float $more): float
    {
        $net = max(-self::MOST, min(self::MOST, log(1 + $more)));

        return (exp($net) - 1) / $net;
    }
}
