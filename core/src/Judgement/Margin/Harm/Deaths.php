<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Planning\Plan\Group;

/** Animals of a kind that the run expects to die. Snails, worms and what nobody counts come and go by their food. */
final class Deaths implements HarmCriterion
{
    /** g from which animals are counted. J. */
    private const COUNTED = 0.01;
    /** Share from which it is said that all die. J. */
    private const ALL = 0.95;

    public static function of(Outlook $outlook): array
    {
        $harms = [];
        foreach ($outlook->plan->groups as $i => $group) {
            $uncounted = \in_array($group->kind->shape, [AnimalShape::Snail, AnimalShape::Worm], true)
                || $group->kind->grams->value < self::COUNTED || $group->day > $outlook->lastDay() || !$outlook->isPresent($group);
            $harm = $uncounted ? null : self::among($outlook, $group, $i);
            if (null !== $harm) {
                $harms[] = $harm;
            }
        }

        return $harms;
    }

    private static function among(Outlook $outlook, Group $group, int $i): ?Harm
    {
        $trace = $outlook->trace;
        $most = 0.0;
        $from = max($outlook->since, $group->day);
        $began = $from;
        // Of those that are in already, as many as there are: what died before is over.
        $count = $group->day < $outlook->since ? min($group->count, round($trace->heads[$from][$i])) : $group->count;
        $given = $trace->givenAway[$from][$i];
        $tight = HarmId::Losses->weight()->tight;
        foreach ($trace->heads as $day => $heads) {
            if ($day < $from) {
                continue;
            }
            // Young that come and go count for nothing; falling below what was put in, and not given away, does.
            $expected = max(0.0, $count - ($trace->givenAway[$day][$i] - $given));
            $lost = ($expected - min($expected, $heads[$i])) / max(1.0, $count);
            $began = $lost > $tight && $most <= $tight ? $day : $began;
            $most = max($most, $lost);
        }
        if ($most <= 0.0) {
            return null;
        }
        $cause = CauseOfDeath::around($trace, $group->kind, $began);

        return new Harm(
            HarmId::Losses,
            $group->kind->id,
            $most,
            $began,
            new Message('harm.losses', [
                'kind' => $group->kind->common,
                'percent' => 100 * $most,
                'all' => $most > self::ALL ? 'yes' : 'no',
                'when' => $outlook->when($began),
                'cause' => $cause->value,
            ]),
            [new Message('avert.losses', ['cause' => $cause->value])],
        );
    }
}
