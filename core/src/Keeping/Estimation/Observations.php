<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;

/** All that a logbook tells of a tank's state, as it is held against a run. */
final class Observations
{
    /** Days within which readings of one thing share what they are off by: the kit's age, the spot, what the run cannot know. J. */
    private const SHARED = 7;
    /**
     * Readings of one thing that are held against the run in each such stretch, of the last weeks and of all before. J: more tell no
     * more.
     */
    private const LATELY = 12;
    private const MOST = 2;
    /** Days between two toppings up within which what was poured in is what dried up. J: beyond them one was not written down. */
    private const TOPPED_WITHIN = 40;

    /**
     * Times what tanks and tests differ by, in squares, from which readings are beyond what any such tank would show. J: two in a row of
     * 2 sd.
     */
    private const FAR = 4.0;

    /** @return list<Observation> by day */
    public static function of(Plan $plan, Log $log, int $today): array
    {
        $clumps = array_flip(array_column($plan->clumps, 'id'));
        $disturbed = array_fill_keys(
            array_map(
                static fn (LoggedEvent $d): int => $d->day,
                array_filter($log->events, static fn (LoggedEvent $d): bool => $d->kind->happens()->disturbsWater),
            ),
            true,
        );
        $toppings = array_values(array_filter(
            $log->of(EventKind::Task, LogAction::TOPPED),
            static fn (LoggedEvent $d): bool => $d->day <= $today && $d->amount > 0,
        ));
        $found = [];
        foreach ($log->readings as $reading) {
            $counted = 'group' === $reading->measure->measured()->of;
            if ($reading->day > $today || $counted || ('clump' === $reading->measure->measured()->of && !isset($clumps[$reading->of]))) {
                // Animals that were counted are put into the run as many; what left the plan is of no account.
                continue;
            }
            if (Measure::Level === $reading->measure) {
                $found[] = self::level($plan, $reading, $toppings);
                continue;
            }
            $nothing = $reading->measure->nothingBelow() > 0 && $reading->isNothing();
            $found[] = new Observation(
                isset($disturbed[$reading->day]) ? $reading->day - 1 : $reading->day,
                $reading->measure,
                Scale::of($reading->measure)->from($nothing ? $reading->measure->nothingBelow() : $reading->value),
                Scale::of($reading->measure)->noise,
                null === $reading->of ? null : $clumps[$reading->of],
                nothing: $nothing,
            );
        }
        foreach ($toppings as $n => $topping) {
            $since = 0 === $n ? $topping->day - self::TOPPED_WITHIN - 1 : $toppings[$n - 1]->day;
            if ($topping->day > $since && $topping->day - $since <= self::TOPPED_WITHIN) {
                $found[] = self::evaporated($topping->day, $since, $topping->amount);
            }
        }

        return self::weighed(array_values(array_filter($found)), $today);
    }

    private static function isOfChemistry(Measure $measure): bool
    {
        return $measure->isAcidity() || \in_array(
            $measure,
            [Measure::CarbonateHardness, Measure::GeneralHardness, Measure::Conductivity, Measure::Temperature],
            true,
        );
    }

    /** @param list<LoggedEvent> $toppings */
    private static function level(Plan $plan, Reading $reading, array $toppings): ?Observation
    {
        $last = null;
        foreach ($toppings as $topping) {
            $last = $topping->day < $reading->day ? $topping->day : $last;
        }

        return null === $last || $reading->day - $last > self::TOPPED_WITHIN
            ? null
            : self::evaporated($reading->day, $last, 1000 * $reading->value * $plan->surface());
    }

    private static function evaporated(int $day, int $since, float $litres): Observation
    {
        return new Observation(
            $day,
            Measure::Level,
            Scale::of(Measure::Level)->from($litres),
            Scale::of(Measure::Level)->noise,
            null,
            $since,
        );
    }

    /**
     * Those of a kind that no tank of the ensemble comes near are not believed to tell of its numbers: something goes on that the plan does
     * not say, and to bend the tank's ways until they explain it would spoil all else. Their noise is made as large as they are off. Only
     * what hangs on stones and waters is judged so: what plants and animals make may be as far off as they are unlike others.
     *
     * P: Desroziers and others (2005), Diagnosis of observation, background and analysis-error statistics in observation space, Q. J. R.
     * Meteorol. Soc. 131 (that what is off tells of the noise).
     *
     * @param list<Observation>  $observations
     * @param list<list<float>>  $predicted    of each tank before the readings, by observation
     *
     * @return list<Observation>
     */
    public static function believed(array $observations, array $predicted): array
    {
        $off = [];
        foreach ($observations as $j => $one) {
            $column = array_column($predicted, $j);
            $mean = array_sum($column) / max(1, \count($column));
            $variance = array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $column)) / max(1, \count($column) - 1);
            $key = $one->measure->value.' '.$one->clump;
            $off[$key]['square'][] = ($one->value - $mean) ** 2;
            $off[$key]['tanks'][] = $variance;
            $off[$key]['noise'][] = $one->noise ** 2;
        }

        return array_map(static function (Observation $one) use ($off): Observation {
            $of = $off[$one->measure->value.' '.$one->clump];
            $over = array_sum($of['square']) / max(1e-12, array_sum($of['tanks']) + array_sum($of['noise']));

            return !self::isOfChemistry($one->measure) || $over <= self::FAR ? $one : $one->withNoise($one->noise * sqrt(
                max(1.0, (array_sum($of['square']) - array_sum($of['tanks'])) / max(1e-12, array_sum($of['noise']))),
            ));
        }, $observations);
    }

    /**
     * Those that count: of many in a week the last, each the less sure the more there are, so that a probe that reads by the hour is
     * believed no more than a week's one good reading.
     *
     * @param list<Observation> $all
     *
     * @return list<Observation>
     */
    private static function weighed(array $all, int $today): array
    {
        usort($all, static fn (Observation $a, Observation $b): int => $a->day <=> $b->day);
        $stretches = [];
        foreach ($all as $one) {
            $stretches[$one->measure->value.' '.$one->clump.' '.intdiv(max(0, $one->day), self::SHARED)][] = $one;
        }
        $kept = [];
        foreach ($stretches as $stretch) {
            $most = $today - $stretch[0]->day <= self::LATELY * self::SHARED ? self::MOST : 1;
            $stretch = \array_slice($stretch, -$most);
            foreach ($stretch as $one) {
                $kept[] = new Observation(
                    $one->day,
                    $one->measure,
                    $one->value,
                    $one->noise * sqrt(\count($stretch)),
                    $one->clump,
                    $one->since,
                    $one->nothing,
                    \count($stretch),
                );
            }
        }
        usort($kept, static fn (Observation $a, Observation $b): int => $a->day <=> $b->day);

        return $kept;
    }
}
