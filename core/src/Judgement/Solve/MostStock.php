<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Planning\Change\AddGroup;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;

/** How many of a kind may live here, all else held, each fed as its kind usually eats. */
final readonly class MostStock implements Question
{
    /** Head beyond which nothing is tried. J. */
    private const MOST = 2000;

    public function __construct(private Editor $editor, private AnimalKind $kind)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        $trial = new Trial($this->editor, $patience);
        if ($plan->site->sealed) {
            return Answer::none('a sealed vessel is no place for animals that must be fed; micro-life comes with the plants.', [], 0);
        }
        $one = AnimalShape::Fish === $this->kind->shape ? max(1, (int) $this->kind->group->value) : 1;
        [$first] = $this->with($trial, $plan, $one);
        if (null === $first) {
            return Answer::none(Words::small($trial->refusal), [], 0);
        }
        $forbids = Trial::failing($trial->judged($first), Asked::MostStock->margins());
        if (null !== $forbids) {
            return Answer::none(
                \sprintf('even %d of %s are too many: %s', $one, $this->kind->common, Trial::reason($forbids)),
                [new Term('tried', (string) $one)],
                $trial->runs,
            );
        }
        $limit = null;
        $most = $trial->largest($one, self::MOST, function (int $count) use ($trial, $plan, &$limit): bool {
            [$changed] = $this->with($trial, $plan, $count);
            $failing = null === $changed ? null : Trial::failing($trial->judged($changed), Asked::MostStock->margins());
            if (null !== $failing) {
                $limit = $failing;
            }

            return null !== $changed && null === $failing;
        });
        [$full, $changes] = $this->with($trial, $plan, $most);
        \assert(null !== $full);

        $terms = [
            new Term(
                'animals',
                \sprintf('%s g', Decimal::significant($most * $this->kind->grams->value, 2)),
                $this->kind->grams->provenance,
            ),
            new Term('food, with them', Decimal::significant($full->feed->grams, 2).' g a day', $this->kind->food->provenance),
            ...$limit instanceof Margin ? [new Term('what forbids more', $limit->sentence)] : [],
        ];
        if ($trial->brokenOff) {
            return Answer::soFar(\sprintf('At least %d of %s.', $most, $this->kind->common), $changes, $terms, $trial->runs);
        }

        return Answer::found(
            \sprintf(
                '%d of %s, no more%s.',
                $most,
                $this->kind->common,
                $limit instanceof Margin ? ': with more, '.Words::small($limit->name).' fails' : ' than Olvek tries',
            ),
            $changes,
            $terms,
            $trial->runs,
        );
    }

    /** @return array{Plan|null, list<Change>} */
    private function with(Trial $trial, Plan $plan, int $count): array
    {
        $here = null;
        foreach ($plan->groups as $group) {
            $here = $group->kind->id === $this->kind->id ? $group : $here;
        }
        $food = max(
            0.0,
            $plan->feed->grams + UsualAmount::food($this->kind, $count) - UsualAmount::food($this->kind, $here->count ?? 0),
        );
        $changes = [
            null === $here ? new AddGroup($this->kind->id, $count) : new SetNumber("animals.$here->id.count", $count),
            new SetNumber('feeding.grams', round($food, 4)),
        ];

        return [$trial->changed($plan, $changes), $changes];
    }
}
