<?php

declare(strict_types=1);

namespace Olvek\Core\Solve;

use Olvek\Core\Margin\Term;
use Olvek\Core\Plan\Editor;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\Decimal;

/** The hours of lamp light that feed the plants and hold the algae. */
final readonly class LightHours implements Question
{
    private const OF = ['light', 'fed', 'algae', 'oxygen', 'carbon'];

    public function __construct(private Editor $editor)
    {
    }

    public function solve(Plan $plan): Answer
    {
        if ($plan->lamp->lumens <= 0) {
            return Answer::none('there is no lamp to set.', [], 0);
        }
        if ([] === $plan->clumps) {
            return Answer::none('there are no plants to light.', [], 0);
        }
        $trial = new Trial($this->editor);
        $terms = [];
        $good = [];
        $why = [];
        for ($hours = 4; $hours <= 16; ++$hours) {
            $changed = $trial->edited($plan, ['light.hours' => (string) $hours]);
            \assert(null !== $changed);
            $judgement = $trial->judged($changed);
            $failing = Trial::failing($judgement, self::OF);
            $worst = min(array_map(static fn (string $id): float => $judgement->margin($id)->position(), self::OF));
            $terms[] = new Term("$hours h", null === $failing ? \sprintf('holds; light %s, algae %s', $judgement->margin('light')->shown, $judgement->margin('algae')->shown) : lcfirst($failing->name).' fails');
            if (null === $failing) {
                $good[$hours] = $worst;
            } else {
                $why[$failing->id] = $failing;
            }
        }
        if ([] === $good) {
            $reasons = array_map(static fn ($m): string => lcfirst($m->name).' fails', array_values($why));

            return Answer::none('at no length of day do all hold: '.implode(', ', $reasons).'. Change the lamp’s strength or the plants.', $terms, $trial->runs);
        }
        arsort($good);
        $best = array_key_first($good);

        return Answer::found(
            \sprintf('%d hours are best; from %d to %d hours do. The plan has %s.', $best, min(array_keys($good)), max(array_keys($good)), Decimal::trimmed($plan->lamp->hours, 1)),
            ['light.hours' => (string) $best], $terms, $trial->runs);
    }
}
