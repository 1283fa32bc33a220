<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Plan;

/** The hours of lamp light that feed the plants and hold the algae. */
final readonly class LightHours implements Question
{
    /** Hours tried. J. */
    private const SHORTEST = 4;
    private const LONGEST = 16;

    public function __construct(private Editor $editor)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        if ($plan->lamp->lumens <= 0) {
            return Answer::none('there is no lamp to set.', [], 0);
        }
        if ([] === $plan->clumps) {
            return Answer::none('there are no plants to light.', [], 0);
        }
        $trial = new Trial($this->editor, $patience);
        $terms = [];
        $good = [];
        $why = [];
        $enough = null;
        for ($hours = self::SHORTEST; $hours <= self::LONGEST; ++$hours) {
            $changed = $trial->changed($plan, [new SetNumber('light.hours', $hours)]);
            \assert(null !== $changed);
            try {
                $judgement = $trial->judged($changed);
            } catch (OutOfTime) {
                break;
            }
            $failing = Trial::failing($judgement, Asked::LightHours->margins());
            // What plants would grow, over the year.
            $growth = $judgement->trace->mean('exportable', 0, $judgement->trace->days());
            $terms[] = new Term(
                "$hours h",
                null === $failing
                    ? \sprintf(
                        'holds; growth %s mg N a day, light %s, algae %s',
                        Decimal::significant($growth, 2),
                        $judgement->margin(MarginId::Light)->shown,
                        $judgement->margin(MarginId::Algae)->shown,
                    )
                    : Words::small($failing->name).' fails',
            );
            if (null === $failing) {
                $good[$hours] = $growth;
                if (
                    null === $enough
                    && MarginState::Holds === $judgement->margin(MarginId::Light)->state
                    && MarginState::Holds === $judgement->margin(MarginId::Algae)->state
                ) {
                    $enough = $hours;
                }
            } else {
                $why[$failing->id->value] = $failing;
            }
        }
        $tried = self::SHORTEST - 1 + \count($terms);
        if ([] === $good && $trial->brokenOff) {
            return Answer::soFar(
                \sprintf('At no length of day up to %d hours do all hold; longer ones were not tried.', $tried),
                [],
                $terms,
                $trial->runs,
            );
        }
        if ([] === $good) {
            $reasons = array_map(static fn ($m): string => Words::small($m->name).' fails', array_values($why));

            return Answer::none(
                'at no length of day do all hold: '.implode(', ', $reasons).'. Change the lamp’s strength or the plants.',
                $terms,
                $trial->runs,
            );
        }
        // The shortest day that gives every plant its light: what is more feeds algae as well. Where none does, the one that brings most
        // growth.
        arsort($good);
        $best = $enough ?? array_key_first($good);

        if ($trial->brokenOff) {
            return Answer::soFar(
                \sprintf('Of up to %d hours, %d are best; longer days were not tried.', $tried, $best),
                [new SetNumber('light.hours', $best)],
                $terms,
                $trial->runs,
            );
        }

        // Told is the stretch without a gap that it lies in.
        $from = $to = $best;
        while (isset($good[$from - 1])) {
            --$from;
        }
        while (isset($good[$to + 1])) {
            ++$to;
        }

        return Answer::found(
            \sprintf(
                null === $enough
                    ? '%d hours are best, though plants or algae stay tight; from %d to %d hours do. The plan has %s.'
                    : '%d hours give every plant its light; from %d to %d hours do, and what is more feeds algae too. The plan has %s.',
                $best,
                $from,
                $to,
                Decimal::trimmed($plan->lamp->hours, 1),
            ),
            [new SetNumber('light.hours', $best)],
            $terms,
            $trial->runs,
        );
    }
}
