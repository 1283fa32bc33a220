<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;

/** Finds what would help a margin most, by trying: each remedy is made, run and judged like any other change. */
final readonly class RemedySearch
{
    /** How far on its gauge (0–1) a margin must move for a change to be worth naming, and how much of that a margin made worse costs. J. */
    private const WORTH = 0.015;
    private const HARM = 0.3;
    private const MOST = 3;

    public function __construct(private Editor $editor)
    {
    }

    /**
     * @param TimeLimit $patience when it is spent, the best of what was tried by then is given
     *
     * @return list<TriedRemedy> the best three at most, best first
     */
    public function for(
        Plan $plan,
        MarginId $margin,
        UnitSystem $units,
        ?Judgement $now = null,
        TimeLimit $patience = new NoTimeLimit(),
    ): array {
        $now ??= Judge::judge($plan, $units);
        $old = $now->margin($margin);
        $found = [];
        foreach ($margin->about()->remedies as $remedy) {
            [$words, $changes] = $remedy->on($plan, $units) ?? [null, []];
            if (null === $words) {
                continue;
            }
            if ($patience->isSpent()) {
                break;
            }
            try {
                $changed = $this->editor->make($plan, $changes)->plan;
            } catch (InvalidPlan) {
                continue; // The plan's rules forbid it: too deep for the vessel, say.
            }
            $then = Judge::judge($changed, $units);
            $new = $then->margin($margin);
            $gain = $new->position() - $old->position();
            $worse = self::worse($now, $then, $margin);
            if ($gain > self::WORTH) {
                $found[] = [
                    $gain - ([] === $worse ? 0.0 : self::HARM),
                    new TriedRemedy($words, $changes, $old->shown, $new->shown, $new->state, [] === $worse ? '' : implode(', ', $worse)),
                ];
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column(\array_slice($found, 0, self::MOST), 1);
    }

    /** @return list<string> names of other margins that a change pushes into a worse state */
    private static function worse(Judgement $now, Judgement $then, MarginId $but): array
    {
        $worse = [];
        foreach ($then->margins as $margin) {
            if ($margin->id !== $but && $margin->state->rank() > $now->margin($margin->id)->state->rank()) {
                $worse[] = Words::small($margin->name).' '.$margin->state->words();
            }
        }

        return $worse;
    }
}
