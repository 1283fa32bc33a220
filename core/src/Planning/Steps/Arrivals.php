<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

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
                    "Quarantine: $name",
                    \sprintf(
                        '%d × %s for %d days in a vessel of their own: %s of the tank’s water, a sponge, a lid, a hiding place, from '
                            .'%s',
                        $group->count,
                        $name,
                        $group->quarantine,
                        $this->litres(max(ShoppingList::APART, 0.5 * $group->kind->leastTank->value)),
                        $group->day >= $group->quarantine
                            ? 'day '.($group->day - $group->quarantine)
                            : ($group->quarantine - $group->day).' days before filling, in treated tap water',
                    ),
                    'Each is seen every day: eats, swims evenly, breathes calmly, no spots, no clamped fins. A tenth of the water changed '
                        .'every other day, ammonia and nitrite at 0.',
                    'Net and hose go from one vessel to the other, and carry over what was to be kept out.',
                    'Sick fish are a vet’s work; no remedy by guess. Wash hands between the vessels.',
                    10,
                    24.0 * $group->quarantine,
                )
                : null,
            new Step(
                Step::LET_IN.$group->id,
                "Let in: $name",
                \sprintf(
                    '%d × %s on day %d, lamp off: %s. Measure both waters: it takes longer the more they differ',
                    $group->count,
                    $name,
                    $group->day,
                    $slow->words(),
                ),
                'They breathe calmly in the bag, and have colour again the next day.',
                'The shop’s water goes in with them.',
                'Never released, whatever happens; the bag’s water goes down the drain.',
                $slow->floating + $slow->dripping,
            ),
            $group->kind->jumper && !$this->plan->site->lid && !$this->plan->site->sealed
                ? new Step(
                    "jump-$group->id",
                    "Jump test: $name",
                    'Water line a hand’s breadth under the rim for three days, or the lid on',
                    'None lies on the floor in the morning; they no longer dash when somebody comes.',
                    'The line is raised on the first calm day.',
                    '',
                    5,
                    72,
                )
                : null,
        ];
    }
}
