<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Animal\AnimalShape;

/** Animals that the run expects to die of hunger, want of oxygen, ammonia, nitrite, cold or heat. */
#[Judges(
    'Losses',
    Subject::Animals,
    remedies: [
        Remedy::LaterAnimals, Remedy::MoreFood, Remedy::FewerAnimals, Remedy::LessFood, Remedy::Sponge,
        Remedy::Cooler, Remedy::Warmer,
    ],
    voice: Voice::Welfare,
)]
final class Losses implements Criterion
{
    /** Share of the animals lost in the year. J; the odd death of age is C. */
    private const WATCH = 0.05;
    private const ACT = 0.25;
    /** g from which animals are counted; below it is the small life of the bed. J. */
    private const COUNTED = 0.01;

    public static function margin(Outlook $outlook): Margin
    {
        if (!$outlook->stocked) {
            return Margin::idle(MarginId::Losses, 'no animals', 'There are no animals to lose yet.');
        }
        $trace = $outlook->trace;
        $most = 0.0;
        $worst = null;
        $day = null;
        $terms = [];
        foreach ($outlook->plan->groups as $i => $group) {
            // Of what comes and goes by itself nobody keeps count: it never decides a verdict.
            if ($group->kind->grams->value < self::COUNTED || $group->day > $outlook->lastDay()) {
                continue;
            }
            $peak = 0.0;
            $fall = 0.0;
            $on = $group->day;
            foreach ($trace->heads as $n => $heads) {
                $peak = max($peak, $heads[$i]);
                // Young that come and go count for nothing; falling below what was put in, and not given away, does.
                $expected = max(0.0, $group->count - $trace->givenAway[$n][$i]);
                $lost = $expected - min($expected, $heads[$i]);
                if ($n >= $group->day && $lost / $group->count > $fall) {
                    $fall = $lost / $group->count;
                    $on = $n;
                }
            }
            $end = $trace->heads[$outlook->lastDay()][$i];
            $terms[] = new Term(
                $group->kind->common,
                \sprintf(
                    '%d put in, about %s at the end, at most %s',
                    $group->count,
                    Decimal::trimmed($end, 0),
                    Decimal::trimmed($peak, 0),
                ),
                Provenance::Judgement,
            );
            // Snails and worms follow their food; that they grow fewer is no failing.
            $counted = \in_array($group->kind->shape, [AnimalShape::Snail, AnimalShape::Worm], true) ? min($fall, self::ACT) : $fall;
            if ($counted > $most || null === $worst) {
                $most = $counted;
                $worst = $group;
                $day = $on;
            }
        }
        if (null === $worst) {
            return Margin::idle(MarginId::Losses, 'none counted', 'What lives here comes and goes by itself.');
        }
        $percent = Decimal::trimmed(100 * $most, 0)."\u{202F}%";
        $name = $worst->kind->common;

        return Margin::atMost(
            MarginId::Losses,
            $most,
            '%',
            self::WATCH,
            self::ACT,
            $day,
            match (true) {
                $most > self::ACT => "By day $day about $percent of the animals ($name) would be lost: to hunger, bad water or the wrong "
                    .'warmth.',
                $most > self::WATCH => "Some of the animals ($name) may be lost, about $percent by day $day.",
                default => 'Nothing in this tank kills or starves the animals.',
            },
            $terms,
        );
    }
}
