<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Provenance;

/** Whether the water's warmth through the run suits all that lives in it. */
#[Judges(
    'Temperature',
    Subject::Animals,
    remedies: [Remedy::Warmer, Remedy::Cooler],
    voice: Voice::Welfare,
)]
final class Warmth implements Criterion
{
    /** °C beyond a kind's range from which it is wrong for it, and within which it is at ease. J: a day or two at the edge is borne. */
    public const LEAST = -1.0;
    public const GOOD = 0.5;

    public static function margin(Outlook $outlook): Margin
    {
        $plan = $outlook->plan;
        $units = $outlook->units;
        $kinds = [];
        foreach ([...$plan->groups, ...$plan->clumps] as $thing) {
            $kinds[$thing->kind->id] = $thing->kind;
        }
        [$coldest, $coldDay] = $outlook->trace->lowest('temperature');
        [$hottest, $hotDay] = $outlook->trace->highest('temperature');
        $show = static fn (float $celsius): string => $units->show(Dimension::Temperature, $celsius);
        if ([] === $kinds) {
            return Margin::idle(MarginId::Temperature, $show($coldest), 'Nothing lives here yet that warmth or cold could harm.');
        }
        $least = \INF;
        $who = null;
        $cold = false;
        $terms = [new Term('water, coldest and warmest', $show($coldest).' and '.$show($hottest))];
        foreach ($kinds as $kind) {
            $terms[] = new Term(
                $kind->common,
                $show($kind->coolest->value).' to '.$show($kind->warmest->value),
                Provenance::CommonPractice,
            );
            $room = min($coldest - $kind->coolest->value, $kind->warmest->value - $hottest);
            if ($room < $least) {
                $least = $room;
                $who = $kind;
                $cold = $coldest - $kind->coolest->value < $kind->warmest->value - $hottest;
            }
        }
        \assert(null !== $who);
        $day = $cold ? $coldDay : $hotDay;
        $at = $show($cold ? $coldest : $hottest);

        return new Margin(
            MarginId::Temperature,
            $least,
            self::LEAST,
            self::GOOD,
            $day,
            $least,
            '',
            $coldest === $hottest
                ? $show($coldest)
                : Decimal::trimmed($units->temperature()->fromBase($coldest), 0).'–'.$units->show(Dimension::Temperature, $hottest, 0),
            'within every kind’s range',
            match (true) {
                $least < self::LEAST => \sprintf(
                    '%s wants %s–%s, the water is at %s.',
                    $who->common,
                    $show($who->coolest->value),
                    $show($who->warmest->value),
                    $at,
                ),
                $least < self::GOOD => \sprintf(
                    '%s is at the edge of its range (%s–%s) with %s.',
                    $who->common,
                    $show($who->coolest->value),
                    $show($who->warmest->value),
                    $at,
                ),
                default => 'The warmth suits all that lives here.',
            },
            \array_slice($terms, 0, 14),
        );
    }
}
