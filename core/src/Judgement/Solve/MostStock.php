<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Harm\Harm;
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
        $kind = $this->kind->common;
        if ($plan->site->sealed) {
            return Answer::none(new Message('answer.sealed'), [], 0);
        }
        $one = AnimalShape::Fish === $this->kind->shape ? max(1, (int) $this->kind->group->value) : 1;
        [$first] = $this->with($trial, $plan, $one);
        if (null === $first) {
            return Answer::none(Message::text($trial->refusal), [], 0);
        }
        $forbids = Trial::forbids($trial->judged($first), Asked::MostStock);
        if (null !== $forbids) {
            return Answer::none(
                [new Message('answer.stock-none', ['least' => $one, 'kind' => $kind]), $forbids->message],
                [new Term('tried', (string) $one)],
                $trial->runs,
            );
        }
        $limit = null;
        $most = $trial->largest($one, self::MOST, function (int $count) use ($trial, $plan, &$limit): bool {
            [$changed] = $this->with($trial, $plan, $count);
            $forbids = null === $changed ? null : Trial::forbids($trial->judged($changed), Asked::MostStock);
            $limit = $forbids ?? $limit;

            return null !== $changed && null === $forbids;
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
        ];
        if ($trial->brokenOff) {
            return Answer::soFar(new Message('answer.stock-so-far', ['most' => $most, 'kind' => $kind]), $changes, $terms, $trial->runs);
        }

        return Answer::found(
            [
                new Message('answer.stock', ['most' => $most, 'kind' => $kind]),
                ...$limit instanceof Harm ? [new Message('answer.with-more'), $limit->message] : [],
            ],
            $changes,
            $terms,
            $trial->runs,
        );
    }

    /** @return array{Plan|null, list<Change>} */
    private function with(Trial $trial, Plan $plan, int $count): array
    {
        $here = null;
        $usual = 0.0;
        foreach ($plan->groups as $group) {
            $here = $group->kind->id === $this->kind->id ? $group : $here;
            $usual += UsualAmount::food($group->kind, $group->count);
        }
        // Fed with the keeper's own hand: as much against what is usual as now.
        $hand = $usual > 0.0 && $plan->feed->grams > 0.0 ? $plan->feed->grams / $usual : 1.0;
        $then = $usual + UsualAmount::food($this->kind, $count) - UsualAmount::food($this->kind, $here->count ?? 0);
        $changes = [
            null === $here ? new AddGroup($this->kind->id, $count) : new SetNumber("animals.$here->id.count", $count),
            new SetNumber('feeding.grams', round($hand * max(0.0, $then), 4)),
        ];

        return [$trial->changed($plan, $changes), $changes];
    }
}
