<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Plan\Plan;

/** Days on which the water harms the animals in it, whether they die of it or not. */
final class Poisoning implements HarmCriterion
{
    /** Times too much from which a day counts as four, and what a night without enough oxygen counts. J. */
    private const GRAVE = 3.0;
    private const GRAVE_DAYS = 4.0;
    private const NIGHT = 0.5;
    /** Last day on which nitrite is put down to a young filter. C: 6–8 weeks. */
    public const START = 60;
    /** Share of the oxygen that a kind needs for days on end below which a dawn harms it; at half of it some die. J. */
    public const BREATH = 0.7;

    public static function of(Outlook $outlook): array
    {
        if (!$outlook->stocked) {
            return [];
        }
        $c = $outlook->trace->columns;
        $least = self::BREATH * DawnOxygen::need($outlook->present);
        $guard = self::guard($outlook->plan);
        $days = ['ammonia' => 0.0, 'nitrite' => 0.0, 'oxygen' => 0.0];
        $first = [];
        for ($day = $outlook->from; $day <= $outlook->lastDay(); ++$day) {
            $over = [
                'ammonia' => AmmoniaMargin::ratio($c['ammonia'][$day], $c['unionised'][$day], $c['pHMost'][$day], $c['temperature'][$day]),
                'nitrite' => $c['nitrite'][$day] / $guard / Nitrite::ACT,
                'oxygen' => $least / max(0.01, $c['oxygen'][$day]),
            ];
            foreach ($over as $what => $times) {
                if ($times > 1) {
                    $days[$what] += match (true) {
                        'oxygen' === $what => self::NIGHT,
                        $times > self::GRAVE => self::GRAVE_DAYS,
                        default => 1.0,
                    };
                    $first[$what] ??= $day;
                }
            }
        }
        $harms = [];
        foreach ($days as $what => $amount) {
            if (0.0 === $amount) {
                continue;
            }
            $from = $first[$what] ?? $outlook->from;
            $harms[] = new Harm(
                HarmId::Water,
                $what,
                $amount,
                $from,
                new Message('harm.water', ['what' => $what, 'when' => $outlook->on($from)]),
                [self::averts($what, $from)],
            );
        }

        return $harms;
    }

    /** What averts it: a start that was too early is no remedy for what comes up in a tank that has long been running. */
    public static function averts(string $what, int $day): Message
    {
        return new Message('avert.losses', ['cause' => 'nitrite' === $what && $day > self::START ? 'late' : $what]);
    }

    /** Times the usual nitrite that animals bear in a plan's water, by its chloride. M: Lewis & Morris (1986). */
    public static function guard(Plan $plan): float
    {
        return max(0.5, min(2.0, $plan->water->chloride / SourceWater::CHLORIDE));
    }
}
