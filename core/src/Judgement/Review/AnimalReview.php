<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Group;

/** Animals that come in the wrong order or all at once. C, where nothing else is said. */
final readonly class AnimalReview extends Review
{
    /** Day from which a tank is no new one for feeding. C: four weeks. */
    private const NEW = 28;
    /** Animals beyond which they come in groups. J. */
    private const MANY = 12;
    /** Days in which nothing is fed. C. */
    private const UNFED = 7;

    public function mistakes(): array
    {
        $plan = $this->plan;
        $groups = $plan->groups;
        $heads = array_sum(array_map(static fn (Group $g): int => $g->count, $groups));
        $days = array_unique(array_map(static fn (Group $g): int => $g->day, $groups));
        $firstOf = static fn (AnimalShape $form): int => min([
            \PHP_INT_MAX,
            ...array_map(
                static fn (Group $g): int => $g->day,
                array_filter($groups, static fn (Group $g): bool => $form === $g->kind->shape),
            ),
        ]);
        $first = $plan->firstAnimals();

        return [
            $heads > self::MANY && 1 === \count($days)
                ? new Mistake(
                    'all-at-once',
                    'animals',
                    new Message('mistake.all-at-once', ['count' => $heads]),
                    false,
                    $this->staggered(),
                    new Message('fix.all-at-once'),
                )
                : null,
            1 !== \count($days)
            && $firstOf(AnimalShape::Fish) < min($firstOf(AnimalShape::Snail), $firstOf(AnimalShape::Shrimp))
            && \PHP_INT_MAX !== min($firstOf(AnimalShape::Snail), $firstOf(AnimalShape::Shrimp))
                ? new Mistake(
                    'order',
                    'animals',
                    new Message('mistake.order'),
                    false,
                    $this->staggered(),
                    new Message('fix.order'),
                )
                : null,
            null !== $first && $plan->feed->grams > 0 && $plan->feedFrom < $first + self::UNFED && $first < self::NEW
                ? new Mistake(
                    'fed-early',
                    'animals',
                    new Message('mistake.fed-early', ['day' => $plan->feedFrom]),
                    false,
                    [new SetNumber('feeding.fromDay', $first + self::UNFED)],
                    new Message('fix.fed-early', ['day' => $first + self::UNFED]),
                )
                : null,
        ];
    }

    /** @return list<Change> days of arrival in the order of the trade, a week apart */
    private function staggered(): array
    {
        $day = max(7, $this->plan->firstAnimals() ?? 0);
        $changes = [];
        foreach ([AnimalShape::Snail, AnimalShape::Shrimp, AnimalShape::Fish] as $form) {
            foreach ($this->plan->groups as $group) {
                if ($form === $group->kind->shape) {
                    $changes[] = new SetNumber("animals.$group->id.day", $day);
                    $day += 7;
                }
            }
        }

        return $changes;
    }
}
