<?php

declare(strict_types=1);

namespace Olvek\Core\Fit;

use Olvek\Core\Log\ActualPlan;
use Olvek\Core\Log\Log;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Ensemble;
use Olvek\Core\Run\Runner;
use Olvek\Core\TimeLimit\TimeLimit;
use Olvek\Core\Water\Measure;

/**
 * What a tank's water will have held through all its life so far, as a few tanks whose uncertain numbers differ have it, each gone the way
 * that the plan's events and the logbook tell: what was read is looked at on it, and has not moved it.
 */
final readonly class LifeBand
{
    /** Tanks. J: few, since each lives for years here; enough that one of ten is not the outermost. */
    public const MEMBERS = 16;
    /** Fewest of them from which a band is drawn. J. */
    private const FEWEST = 5;
    /** Shares of tanks below the low end, the middle and the high end. */
    private const SHARES = [0.1, 0.5, 0.9];

    /**
     * @param array<string, list<array{float, float, float}>> $bands   low, middle, high by measure and day, on its base scale
     * @param int                                             $members tanks that it is made from
     */
    private function __construct(public array $bands, public int $members)
    {
    }

    /** @return self|null null where there was time for too few */
    public static function of(Plan $plan, Log $log, int $days, TimeLimit $patience): ?self
    {
        $actual = ActualPlan::of($plan, $log);
        $ensemble = new Ensemble($actual->plan, self::MEMBERS);
        $values = [];
        $members = 0;
        while ($members < self::MEMBERS && !$patience->isSpent()) {
            [$varied, $parameters] = $ensemble->member($members);
            $trace = (new Runner($varied, $parameters))->run($days, $actual->events);
            foreach (Measure::cases() as $measure) {
                $values[$measure->value][] = $trace->columns[self::column($measure)];
            }
            ++$members;
        }
        if ($members < self::FEWEST) {
            return null;
        }
        $bands = [];
        foreach ($values as $measure => $of) {
            for ($day = 0; $day < $days; ++$day) {
                $sorted = array_column($of, $day);
                sort($sorted);
                $bands[$measure][] = self::among($sorted);
            }
        }

        return new self($bands, $members);
    }

    public function isWhole(): bool
    {
        return self::MEMBERS === $this->members;
    }

    /** The trace's column of what a test tells. */
    private static function column(Measure $measure): string
    {
        return match ($measure) {
            Measure::Acidity => 'pH',
            Measure::CarbonateHardness => 'carbonateHardness',
            Measure::GeneralHardness => 'generalHardness',
            default => $measure->value,
        };
    }

    /**
     * @param list<float> $sorted FEWEST or more
     *
     * @return array{float, float, float}
     */
    private static function among(array $sorted): array
    {
        $last = \count($sorted) - 1;
        $at = static function (float $share) use ($sorted, $last): float {
            $place = $share * $last;
            $below = (int) $place;

            return round($sorted[$below] + ($place - $below) * ($sorted[min($last, $below + 1)] - $sorted[$below]), 4);
        };

        return [$at(self::SHARES[0]), $at(self::SHARES[1]), $at(self::SHARES[2])];
    }
}
