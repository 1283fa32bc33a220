<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Remedy;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Remove;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;

/**
 * Finds what averts a harm, by trying: each change is made, run and judged like any other, the smallest first of those that come in sizes.
 * Nothing is offered that leaves the harm as it was, or that brings about another that fails.
 */
final readonly class Averting
{
    /** Answers that are given. */
    private const MOST = 3;
    /** Shares of the animals or of the food that are left, as they are tried. J. */
    private const LEFT = [0.8, 0.6, 0.4, 0.2];

    public function __construct(private Editor $editor)
    {
    }

    /**
     * @param TimeLimit $patience when it is spent, what was found by then is given
     *
     * @return list<Averted> those that avert it whole before those that lessen it, the cheapest first of those that do the same
     */
    public function of(
        Plan $plan,
        HarmId $id,
        UnitSystem $units,
        ?Judgement $now = null,
        TimeLimit $patience = new NoTimeLimit(),
    ): array {
        $now ??= Judge::judge($plan, $units);
        $harm = self::worst($now, $id);
        if (null === $harm || MarginState::Holds === $harm->state) {
            return [];
        }
        $found = [];
        foreach ($this->ladders($plan, $harm, $units) as $ladder) {
            foreach ($ladder as [$message, $changes]) {
                if ($patience->isSpent()) {
                    break 2;
                }
                $averted = $this->tried($plan, $harm, $now, $message, $changes, $units);
                if (null !== $averted) {
                    $found[] = $averted;
                    break;
                }
            }
        }
        usort(
            $found,
            static fn (Averted $a, Averted $b): int => [$a->state->rank(), $a->tank->rank(), $a->cost->weight()]
                <=> [$b->state->rank(), $b->tank->rank(), $b->cost->weight()],
        );

        return \array_slice($found, 0, self::MOST);
    }

    /** @param list<Change> $changes */
    private function tried(Plan $plan, Harm $harm, Judgement $now, Message $message, array $changes, UnitSystem $units): ?Averted
    {
        try {
            $changed = $this->editor->make($plan, $changes)->plan;
            $then = Judge::judge($changed, $units);
        } catch (InvalidPlan) {
            return null; // The plan's rules forbid it: too deep for the vessel, say.
        }
        $state = self::worst($then, $harm->id)->state ?? MarginState::Holds;
        $failed = self::failing($now);

        return $state->rank() < $harm->state->rank() && [] === array_diff(self::failing($then), $failed)
            ? new Averted($message, $changes, $state, $then->state, Cost::between($plan, $now->trace, $changed, $then->trace))
            : null;
    }

    /** @return list<string> ids of what fails */
    private static function failing(Judgement $judgement): array
    {
        return array_map(
            static fn (Harm $h): string => $h->id->value,
            array_values(array_filter($judgement->harms, static fn (Harm $h): bool => MarginState::Fails === $h->state)),
        );
    }

    private static function worst(Judgement $judgement, HarmId $id): ?Harm
    {
        foreach ($judgement->harms as $harm) {
            if ($harm->id === $id) {
                return $harm;
            }
        }

        return null;
    }

    /** @return list<list<array{Message, list<Change>}>> changes by sort, the smallest of each first */
    private function ladders(Plan $plan, Harm $harm, UnitSystem $units): array
    {
        $ladders = [];
        foreach ($harm->margins() as $margin) {
            foreach ($margin->about()->remedies as $remedy) {
                $made = match ($remedy) {
                    Remedy::LessFood => self::lessFood($plan),
                    Remedy::FewerAnimals => self::fewer($plan, $harm),
                    default => self::single($remedy, $plan, $units),
                };
                $ladders[$remedy->value] ??= $made;
            }
        }
        if (HarmId::Company === $harm->id) {
            $ladders['apart'] = self::apart($plan, $harm);
        }

        return array_values(array_filter($ladders, static fn (array $ladder): bool => [] !== $ladder));
    }

    /** @return list<array{Message, list<Change>}> */
    private static function single(Remedy $remedy, Plan $plan, UnitSystem $units): array
    {
        $made = $remedy->on($plan, $units);

        return null === $made ? [] : [[Message::text($made[0]), $made[1]]];
    }

    /** @return list<array{Message, list<Change>}> */
    private static function lessFood(Plan $plan): array
    {
        return $plan->feed->grams <= 0.0 ? [] : array_map(
            static fn (float $left): array => [
                new Message('remedy.food', ['percent' => 100 * $left]),
                [new SetNumber('feeding.grams', round($left * $plan->feed->grams, 4))],
            ],
            self::LEFT,
        );
    }

    /** @return list<array{Message, list<Change>}> fewer of the kind that comes to harm, or of the largest group */
    private static function fewer(Plan $plan, Harm $harm): array
    {
        $group = self::group($plan, $harm);
        if (null === $group) {
            return [];
        }
        $steps = [];
        foreach (self::LEFT as $left) {
            $count = max(1, (int) floor($left * $group->count));
            if ($count < $group->count) {
                $steps[$count] = [
                    new Message('remedy.fewer', ['count' => $count, 'kind' => $group->kind->common]),
                    [new SetNumber("animals.$group->id.count", $count)],
                ];
            }
        }

        return [...array_values($steps), ...self::without($group)];
    }

    /** @return list<array{Message, list<Change>}> */
    private static function apart(Plan $plan, Harm $harm): array
    {
        $group = self::group($plan, $harm);
        if (null === $group) {
            return [];
        }

        return [
            [
                new Message('remedy.fewer', ['count' => 1, 'kind' => $group->kind->common]),
                [new SetNumber("animals.$group->id.count", 1)],
            ],
            ...self::without($group),
        ];
    }

    /** @return list<array{Message, list<Change>}> */
    private static function without(Group $group): array
    {
        return [[new Message('remedy.without', ['kind' => $group->kind->common]), [new Remove('animals', $group->id)]]];
    }

    private static function group(Plan $plan, Harm $harm): ?Group
    {
        $largest = null;
        foreach ($plan->groups as $group) {
            if ($group->kind->id === $harm->about) {
                return $group;
            }
            $largest = null === $largest || $group->biomass() > $largest->biomass() ? $group : $largest;
        }

        return $largest;
    }
}
