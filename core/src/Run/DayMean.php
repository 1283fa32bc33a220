<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

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
    /** Log growth within which series to the fifth term stand for exponential and logarithm: they are right to 1e-12 there. */
    private const SMALL = 0.008;

    /** @var array<int, float> log growth of the day before */
    private array $net = [];
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
        $means = [];
        $nets = $this->net;
        foreach ($masses as $i => $mass) {
            $net = $nets[$i] ?? 0.0;
            $means[$i] = $mass * ($net < self::SMALL && $net > -self::SMALL
                ? 1 + ($net / 2) * (1 + ($net / 3) * (1 + ($net / 4) * (1 + $net / 5)))
                : (exp($net) - 1) / $net);
        }

        return $means;
    }

    /** @param array<int, float> $masses at the day's end */
    public function learn(array $masses): void
    {
        $before = $this->before;
        $nets = [];
        foreach ($masses as $i => $mass) {
            $was = $before[$i] ?? 0.0;
            if ($was <= 0 || $mass <= 0) {
                $nets[$i] = 0.0;
                continue;
            }
            $more = $mass / $was - 1;
            $nets[$i] = $more < self::SMALL && $more > -self::SMALL
                ? $more * (1 - $more * (1 / 2 - $more * (1 / 3 - $more * (1 / 4 - $more / 5))))
                : max(-self::MOST, min(self::MOST, log(1 + $more)));
        }
        $this->net = $nets;
    }
}
