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
        foreach ($masses as $i => $mass) {
            $net = $this->net[$i] ?? 0.0;
            $means[$i] = $mass * (abs($net) < 1e-6 ? 1.0 : (exp($net) - 1) / $net);
        }

        return $means;
    }

    /** @param array<int, float> $masses at the day's end */
    public function learn(array $masses): void
    {
        foreach ($masses as $i => $mass) {
            $was = $this->before[$i] ?? 0.0;
            $this->net[$i] = $was > 0 && $mass > 0 ? max(-self::MOST, min(self::MOST, log($mass / $was))) : 0.0;
        }
    }
}
