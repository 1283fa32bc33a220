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
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;

/**
 * A tank whose truth is known: its numbers drawn from what is likely, run whole, its plants and its keeper's hand drifting. Its readings
 * are those of one kit that reads off by something of its own, with an eye's noise, rounded to the kit's colours or drops; part of them is
 * kept back.
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

    /** Share of a reading's noise that is the eye's; rounding is the rest. J. */
    private const EYE = 0.7;
    /** Steps in which kits and probes read what has no colours. C. */
    private const STEPS = ['ph' => 0.2, 'ph-dawn' => 0.2, 'kh' => 1.0, 'gh' => 1.0, 'conductivity' => 10.0, 'temperature' => 0.5];

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
        $truth = (new Runner($varied, $parameters, new Drift($growth, $food)))->run($end, $actual->events);
        $read = $held = [];
        $bias = array_map(static fn (Measure $m): float => Scale::of($m)->bias * Normal::drawn($dice), self::READ);
        for ($day = 4; $day < $end; $day += 8) {
            foreach (self::READ as $n => $measure) {
                $scale = Scale::of($measure);
                $true = $scale->from(self::value($truth, $measure, $day));
                $value = self::shown($measure, $scale->base($true + $bias[$n] + self::EYE * $scale->noise * Normal::drawn($dice)));
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

    /** What a kit shows of a value: the nearest of its colours by their ratios, or its nearest step. */
    private static function shown(Measure $measure, float $value): float
    {
        $step = self::STEPS[$measure->value] ?? null;
        $measured = $measure->measured();
        if (null !== $step) {
            return round($value / $step) * $step;
        }
        if ([] === $measured->ions) {
            return $value;
        }
        $ion = $measured->ions[0];
        $colours = array_map($ion->toElement(...), $measured->steps['']);
        $scale = Scale::of($measure);
        usort(
            $colours,
            static fn (float $a, float $b): int => abs($scale->from($a) - $scale->from($value))
                <=> abs($scale->from($b) - $scale->from($value)),
        );

        return $colours[0];
    }

    public static function value(Trace $trace, Measure $measure, int $day): float
    {
        $quantity = Quantity::of($measure);
        \assert(null !== $quantity);

        return $trace->columns[$quantity->value][$day];
    }
}
