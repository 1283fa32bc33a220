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
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Plan;

/** How many times what is fed the tank carries, all else held: by trying it run by run, where the stock margin reads it off one run. */
final readonly class MostFood implements Question
{
    /** Steps in one portion, and portions beyond which nothing is tried. J. */
    private const STEPS = 10;
    private const MOST = 20;

    public function __construct(private Editor $editor)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        $fed = $plan->feed->grams;
        if ($fed <= 0.0 || [] === $plan->groups) {
            return Answer::none('nothing is fed yet: say what you feed a day, and to whom.', [], 0);
        }
        $trial = new Trial($this->editor, $patience);
        $before = Trial::failing($trial->judged($plan), Asked::MostFood->margins());
        if (null !== $before) {
            return Answer::none(
                'what is fed is too much as it is, or something else is amiss: '.Trial::reason($before),
                [],
                $trial->runs,
            );
        }
        $limit = null;
        $changes = static fn (int $steps): array => [new SetNumber('feeding.grams', round(($fed * $steps) / self::STEPS, 5))];
        $most = $trial->largest(self::STEPS, self::STEPS * self::MOST, static function (int $steps) use (
            $trial,
            $plan,
            $changes,
            &$limit,
        ): bool {
            $changed = $trial->changed($plan, $changes($steps));
            $failing = null === $changed ? null : Trial::failing($trial->judged($changed), Asked::MostFood->margins());
            $limit = $failing ?? $limit;

            return null !== $changed && null === $failing;
        });
        $times = $most / self::STEPS;
        $terms = [
            new Term('fed', Decimal::significant($fed, 2).' g a day'),
            new Term('carried', Decimal::significant($times * $fed, 2).' g a day'),
            ...$limit instanceof Margin ? [new Term('what forbids more', $limit->sentence)] : [],
        ];
        $sentence = \sprintf('%s × what you feed, %s g a day', Decimal::trimmed($times, 1), Decimal::significant($times * $fed, 2));
        if ($trial->brokenOff) {
            return Answer::soFar("At least $sentence.", $changes($most), $terms, $trial->runs);
        }

        return Answer::found(
            $sentence.
                ($limit instanceof Margin ? ': with more, '.Words::small($limit->name).' fails.' : ', the most that Olvek tries.'),
            $changes($most),
            $terms,
            $trial->runs,
        );
    }
}
