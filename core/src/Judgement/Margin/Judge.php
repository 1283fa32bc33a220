<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\Forecast;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\Harm\Verdict;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Simulation\Run\UsualCare;

/**
 * Judges a plan from a run of its first year with usual care. Harm decides: who or what comes to harm, how much and when (Harm\Harms);
 * margins are gauges, each of its own subject. Pure: the same plan always gets the same judgement.
 */
final class Judge
{
    public const FIRST_YEAR = 365;

    /** @param list<Event> $events beside what the plan and usual care bring */
    public static function judge(
        Plan $plan,
        UnitSystem $units = UnitSystem::Metric,
        Parameters $parameters = new Parameters(),
        int $days = self::FIRST_YEAR,
        array $events = [],
        Pace $pace = Pace::Whole,
    ): Judgement {
        return self::fromTrace(
            $plan,
            (new Runner($plan, $parameters))->run($days, [...UsualCare::events(), ...$events], pace: $pace),
            $units,
            $parameters,
        );
    }

    /** Judges what a run with these parameters came to. */
    public static function fromTrace(
        Plan $plan,
        Trace $trace,
        UnitSystem $units = UnitSystem::Metric,
        Parameters $parameters = new Parameters(),
    ): Judgement {
        $outlook = new Outlook($plan, $trace, $units, $parameters);
        $margins = array_map(static fn (MarginId $id): Margin => $id->criterion()::margin($outlook), MarginId::cases());
        $harms = Harms::of($outlook);

        return new Judgement(
            Harms::state($harms),
            Verdict::of($plan, $harms),
            $margins,
            $trace,
            Quantities::of($plan),
            $harms,
            Forecast::of($outlook),
        );
    }
}
