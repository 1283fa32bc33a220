<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Trace;

/** A day from which, as the run has it, the next step may be taken; or on which it had to wait. */
final readonly class Gate
{
    /** Days for which readings must stay at nothing. C. */
    private const QUIET_DAYS = 7;

    private function __construct(public int $day, public string $words)
    {
    }

    /** @return list<self> */
    public static function of(Plan $plan, Trace $trace): array
    {
        $gates = [];
        $fit = self::fit($trace, $plan->preparation->way->soonest());
        if (null !== $fit) {
            $gates[] = new self($fit, 'a test reads 0 for ammonia and nitrite from here');
        }
        $held = 0;
        for ($day = 7; $day < $trace->days(); $day += 7) {
            if (
                $trace->columns['lampShare'][$day] < $trace->columns['lampShare'][$day - 1]
                && $trace->columns['lampShare'][$day] > 0
                && $held < 3
            ) {
                $gates[] = new self($day, 'algae show: the lamp goes back a step');
                ++$held;
            }
        }

        return $gates;
    }

    /** First day from which a drop test shows neither ammonia nor nitrite for a week; null where there is none. */
    private static function fit(Trace $trace, int $soonest): ?int
    {
        $quiet = 0;
        for ($day = $soonest; $day < $trace->days(); ++$day) {
            $quiet =
                $trace->columns['ammonia'][$day] < Measure::Ammonia->nothingBelow()
                && $trace->columns['nitrite'][$day] < Measure::Nitrite->nothingBelow()
                    ? $quiet + 1
                    : 0;
            if (self::QUIET_DAYS === $quiet) {
                return $day - self::QUIET_DAYS + 1;
            }
        }

        return null;
    }
}
