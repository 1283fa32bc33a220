<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Estimation;

use Olvek\Core\Keeping\Estimation\Normal;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Estimation\Scale;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Drift;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;

/**
 * A tank whose truth is known: its numbers drawn from what is likely, its plants and its keeper's hand drifting, its readings with a test's
 * noise; part of them kept back.
 */
final readonly class Twin
{
    private const READ = [
        Measure::Nitrate,
        Measure::Phosphate,
        Measure::Acidity,
        Measure::AcidityAtDawn,
        Measure::CarbonateHardness,
        Measure::GeneralHardness,
        Measure::Conductivity,
        Measure::Temperature,
        Measure::Cover,
    ];

    /** @param list<Reading> $held kept back */
    private function __construct(public Trace $truth, public Log $log, public array $held)
    {
    }

    /** @param int $days that are read; what comes after is kept back whole, up to $end */
    public static function of(Plan $plan, int $seed, int $days, int $end): self
    {
        $dice = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $events = array_map(
            static fn ($g): LoggedEvent => new LoggedEvent($g->day, EventKind::Stock, (float) $g->count, $g->id),
            $plan->groups,
        );
        $actual = ActualPlan::upTo($plan, new Log([], $events), $days, static fn (): bool => 1 === $dice->getInt(0, 1));
        $places = [];
        [$varied, $parameters] = (new Ensemble($actual->plan, 48))->at(static function (string $dimension) use (&$places, $dice): float {
            return $places[$dimension] ??= $dice->getInt(1, 999) / 1000;
        });
        $growth = $food = [];
        for ($month = 0; $month <= intdiv($end, Drift::STRETCH); ++$month) {
            $growth[] = exp(0.25 * Normal::drawn($dice));
            $food[] = exp(0.3 * Normal::drawn($dice));
        }
        $truth = (new Runner($varied, $parameters, new Drift($growth, $food)))->run($end, $actual->events, pace: Pace::Rough);
        $read = $held = [];
        for ($day = 4; $day < $end; $day += 8) {
            foreach (self::READ as $measure) {
                $scale = Scale::of($measure);
                $value = $scale->base($scale->from(self::value($truth, $measure, $day)) + $scale->noise * Normal::drawn($dice));
                [$least, $most] = $measure->bounds();
                $reading = new Reading($day, $measure, max($least, min($most, $value)));
                if ($day > $days || $dice->getInt(0, 2) > 1) {
                    $held[] = $reading;
                } else {
                    $read[] = $reading;
                }
            }
        }

        return new self($truth, new Log($read, $events), $held);
    }

    public static function value(Trace $trace, Measure $measure, int $day): float
    {
        $quantity = Quantity::of($measure);
        \assert(null !== $quantity);

        return $trace->columns[$quantity->value][$day];
    }
}
