<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\PlantedShare;
use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Planning\Event\EventKind;

/** The light of these days, and how many plants there are to use it. */
final class LightFacts
{
    /** mol of photons per m² and day on the water: modest, and a great deal for a tank without added carbon dioxide. M (3–4, 6–8). */
    private const BRIGHT = [3.5, 6.5];
    /** h of lamp a day: C, seven to eight are modest, ten and more are long. */
    private const LONG = [8.5, 10.5];
    /** mol of photons in an hour of 1 µmol/s. */
    private const MOL_PER_HOUR = 0.0036;
    /** Share of the light that the sun brings, from which it counts. J. */
    private const SUN = [0.1, 0.35];
    /** Days for which a longer lamp tells, and hours by which it was raised. J. */
    private const RAISED = 28;
    private const MORE = [0.25, 1.5];
    /** g dry of plants per m² of floor: many, few. J, near what half a floor of stems weighs. */
    private const STAND = [90.0, 35.0];
    /** Share of the floor planted: C, half is wanted. */
    private const PLANTED = [0.5, 0.25];

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        return [
            $case->level(null, 'light', 'the light on the water')->finding('bright', ...self::BRIGHT),
            self::hours($case),
            self::sun($case),
            self::raised($case),
            self::plants($case),
        ];
    }

    private static function hours(TankCase $case): Finding
    {
        $logged = $case->log->of(EventKind::Light);
        $last = end($logged);
        $hours = $case->trace->columns['lampHours'][$case->day];
        $words = \sprintf('The lamp is on for %s hours a day', Decimal::trimmed($hours, 1));

        return new Finding(
            'long-day',
            Finding::ramp($hours, ...self::LONG),
            false === $last ? $words : "$words, since day $last->day",
            false === $last ? $case->byPlan() : Source::Logged,
            false === $last ? null : $last->day,
        );
    }

    private static function sun(TankCase $case): Finding
    {
        $plan = $case->plan;
        $lamp = self::MOL_PER_HOUR * $plan->lamp->daily($plan->surface(), $case->trace->columns['lampHours'][$case->day])
            * $case->trace->columns['lampShare'][$case->day];
        $all = $case->mean('light');
        $sun = Aspect::None === $plan->site->aspect || $all <= 0 ? 0.0 : max(0.0, 1 - $lamp / $all);

        return new Finding(
            'sun',
            Finding::ramp($sun, ...self::SUN),
            Aspect::None === $plan->site->aspect
                ? 'By the plan, no daylight reaches it'
                : \sprintf('By the run, %s %% of its light is daylight', Decimal::trimmed(100 * $sun, 0)),
            $case->byPlan(),
        );
    }

    private static function raised(TankCase $case): Finding
    {
        $before = $case->plan->lamp->hours;
        $most = 0.0;
        $on = null;
        foreach ($case->log->of(EventKind::Light) as $logged) {
            if ($logged->day > $case->day - self::RAISED && $logged->amount - $before > $most) {
                $most = $logged->amount - $before;
                $on = $logged->day;
            }
            $before = $logged->amount;
        }

        return new Finding(
            'light-raised',
            Finding::ramp($most, ...self::MORE),
            null === $on
                ? 'The lamp was not set longer in the last four weeks'
                : \sprintf('The lamp burns %s h longer since day %d', Decimal::trimmed($most, 1), $on),
            Source::Logged,
            $on,
        );
    }

    private static function plants(TankCase $case): Finding
    {
        $planted = PlantedShare::of($case->plan);
        $stand = $case->mean('plants') / $case->plan->floor();

        return new Finding(
            'few-plants',
            // Either many leaves or a planted floor will do.
            min(Finding::ramp($stand, ...self::STAND), Finding::ramp($planted, ...self::PLANTED)),
            \sprintf(
                '%s %% of the floor is planted; by the run, plants weigh %s g dry',
                Decimal::trimmed(100 * $planted, 0),
                Decimal::significant($case->mean('plants'), 2),
            ),
            $case->byPlan(),
            $case->day,
        );
    }
}
