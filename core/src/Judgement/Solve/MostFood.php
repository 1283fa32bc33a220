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
            return Answer::none(new Message('answer.not-fed'), [], 0);
        }
        $trial = new Trial($this->editor, $patience);
        $before = Trial::forbids($trial->judged($plan), Asked::MostFood);
        if (null !== $before) {
            return Answer::none(
                [new Message('answer.food-none'), $before->message],
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
            $forbids = null === $changed ? null : Trial::forbids($trial->judged($changed), Asked::MostFood);
            $limit = $forbids ?? $limit;

            return null !== $changed && null === $forbids;
        });
        $times = $most / self::STEPS;
        $terms = [
            new Term('fed', Decimal::significant($fed, 2).' g a day'),
            new Term('carried', Decimal::significant($times * $fed, 2).' g a day'),
        ];
        $grams = $times * $fed;
        if ($trial->brokenOff) {
            return Answer::soFar(
                new Message('answer.food-so-far', ['times' => $times, 'grams' => $grams]),
                $changes($most),
                $terms,
                $trial->runs,
            );
        }

        return Answer::found(
            [
                new Message('answer.food', ['times' => $times, 'grams' => $grams]),
                ...$limit instanceof Harm ? [new Message('answer.with-more'), $limit->message] : [],
            ],
            $changes($most),
            $terms,
            $trial->runs,
        );
    }
}
