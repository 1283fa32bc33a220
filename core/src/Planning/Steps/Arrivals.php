<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Core\Planning\Plan\Group;

/**
 * Each group of animals: quarantine, getting used to the water, the first days under a low water line.
 *
 * @internal
 */
final readonly class Arrivals extends Chapter
{
    /** °dH and pH by which a dealer's water differs from the tank's, where nobody measured; °C. J. */
    private const USUAL = [3.0, 0.5, 2.0];

    public function steps(): array
    {
        $groups = $this->plan->groups;
        usort($groups, static fn (Group $a, Group $b): int => [$a->day, $a->id] <=> [$b->day, $b->id]);

        return array_merge([], ...array_map($this->arrival(...), $groups));
    }

    /** @return list<Step|null> */
    private function arrival(Group $group): array
    {
        $name = $group->kind->common;
        [$hardness, $pH, $celsius] = self::USUAL;
        $slow = Acclimatisation::by($celsius, $hardness, $pH, $group->kind->shape);

        return [
            $group->quarantine > 0
                ? new Step(
                    "apart-$group->id",
                    new Message('step.apart.name', ['animal' => $name]),
                    $group->day >= $group->quarantine
                        ? new Message(
                            'step.apart.amount',
                            [
                                'count' => $group->count,
                                'animal' => $name,
                                'days' => $group->quarantine,
                                'day' => $group->day - $group->quarantine,
                                'volume' => Amount::volume(max(ShoppingList::APART, 0.5 * $group->kind->leastTank->value)),
                            ],
                        )
                        : new Message(
                            'step.apart.amount-before',
                            [
                                'count' => $group->count,
                                'animal' => $name,
                                'days' => $group->quarantine,
                                'before' => $group->quarantine - $group->day,
                                'volume' => Amount::volume(max(ShoppingList::APART, 0.5 * $group->kind->leastTank->value)),
                            ],
                        ),
                    new Message('step.apart.check'),
                    new Message('step.apart.mistake'),
                    new Message('step.apart.caution'),
                    10,
                    24.0 * $group->quarantine,
                )
                : null,
            new Step(
                Step::LET_IN.$group->id,
                new Message('step.arrive.name', ['animal' => $name]),
                new Message(
                    'step.arrive.amount',
                    ['count' => $group->count, 'animal' => $name, 'day' => $group->day, 'how' => $slow->message()],
                ),
                new Message('step.arrive.check'),
                new Message('step.arrive.mistake'),
                new Message('step.arrive.caution'),
                $slow->floating + $slow->dripping,
            ),
            $group->kind->jumper && !$this->plan->site->lid && !$this->plan->site->sealed
                ? new Step(
                    "jump-$group->id",
                    new Message('step.jump.name', ['animal' => $name]),
                    new Message('step.jump.amount'),
                    new Message('step.jump.check'),
                    new Message('step.jump.mistake'),
                    null,
                    5,
                    72,
                )
                : null,
        ];
    }
}
