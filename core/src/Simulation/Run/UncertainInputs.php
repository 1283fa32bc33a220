<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\Estimate;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\Plan;

/**
 * What a plan says of its lamp, water, food and warmth, as unsure as keepers are of it: read off a box, a drop test, a pinch, a cheap
 * thermometer. All J.
 */
final class UncertainInputs
{
    /**
     * Factors between which the truth lies: light that lands, hardness by a drop test of whole degrees, nitrate by a colour card, a pinch
     * of food.
     */
    private const LANDING = [0.75, 1.25];
    private const HARDNESS = [0.85, 1.2];
    private const NITRATE = [0.5, 2.0];
    private const FOOD = [0.6, 1.6];
    /** °C by which a room's water is warmer or cooler than planned. */
    private const WARMTH = 1.0;

    /** @param \Closure(string, Estimate): Estimate $vary of a dimension's name and range, its value in this tank */
    public static function varied(Plan $plan, \Closure $vary): Plan
    {
        $by = static fn (string $name, float $value, float $least, float $most): float => $vary(
            "input $name",
            Estimate::of($value, Provenance::Judgement, $value * $least, $value * $most),
        )->value;
        $site = $plan->site;
        $swing = abs($site->swing);
        $warmth = $vary(
            'input warmth',
            Estimate::of(
                $site->temperature,
                Provenance::Judgement,
                min($site->temperature, max(self::bounds('site.temperature')[0] + $swing, $site->temperature - self::WARMTH)),
                max($site->temperature, min(self::bounds('site.temperature')[1] - $swing, $site->temperature + self::WARMTH)),
            ),
        );

        return $plan->withInputs(
            $site->withTemperature($warmth->value),
            $plan->lamp->withLanding(
                max(self::bounds('light.landing')[0], min(1.0, $by('landing', $plan->lamp->landing, ...self::LANDING))),
            ),
            $plan->water->with(
                min(self::bounds('water.kh')[1], $by('kh', $plan->water->kh, ...self::HARDNESS)),
                min(self::bounds('water.gh')[1], $by('gh', $plan->water->gh, ...self::HARDNESS)),
                min(self::bounds('water.nitrate')[1], $by('nitrate', $plan->water->nitrate, ...self::NITRATE)),
            ),
            $plan->feed->withGrams(min(self::bounds('feeding.grams')[1], $by('food', $plan->feed->grams, ...self::FOOD))),
        );
    }

    /** @return array{float, float} what a plan may say at least and at most */
    private static function bounds(string $place): array
    {
        $number = Field::at($place)->number ?? throw new \LogicException("no number at $place");

        return [$number->from, $number->to];
    }
}
