<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Judgement\Margin\Outlook;

/**
 * Water that spares the animals in the likeliest tank, but so narrowly that it harms them in one of ten or more: its distance stands for
 * the likelihood until many tanks are run.
 *
 * J: bands of 84 composed and changed plans, 32 tanks each (bench/sureness.php). In one of ten the lowest dawn lies some 2 mg/L lower than
 * in the likeliest tank, and nitrite peaks at six times as much.
 */
final class NearMiss implements HarmCriterion
{
    /** mg/L over the dawn that harms, within which some tanks fall below it for a week. */
    private const DAWN = 1.5;
    /** Share of what nitrite harms by, from which some tanks reach it. */
    private const NITRITE = 0.15;
    /** Share of the tanks that such a distance stands for: some of ten, not most. */
    private const SOME = 0.2;

    public static function of(Outlook $outlook): array
    {
        if (!$outlook->stocked) {
            return [];
        }
        $trace = $outlook->trace;
        [$dawn, $darkest] = $trace->lowest('oxygen', $outlook->from);
        [$nitrite, $worst] = $trace->highest('nitrite', $outlook->from);
        $near = match (true) {
            $nitrite / Poisoning::guard($outlook->plan) > self::NITRITE * Nitrite::ACT => ['nitrite', $worst],
            $dawn < Poisoning::BREATH * DawnOxygen::need($outlook->present) + self::DAWN => ['oxygen', $darkest],
            default => null,
        };
        if (null === $near || [] !== array_filter(Poisoning::of($outlook), static fn (Harm $h): bool => self::counts($h))) {
            return [];
        }
        [$what, $day] = $near;

        return [
            new Harm(
                HarmId::Water,
                $what,
                0.0,
                $day,
                new Message('harm.near', ['what' => $what, 'when' => $outlook->on($day)]),
                [Poisoning::averts($what, $day)],
                self::SOME,
            ),
        ];
    }

    private static function counts(Harm $harm): bool
    {
        return $harm->amount >= HarmId::Water->weight()->tight;
    }
}
