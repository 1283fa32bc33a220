<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\MarginState;

/**
 * Where no plan for a wish holds: the wish next to it for which one does, found by changing one thing at a time and composing anew. The
 * smallest change first: a lamp in place of daylight, half as many of a kind, without a kind.
 */
final readonly class WishSearch
{
    /** Wishes that are tried: each takes a composed plan and its tanks. J. */
    private const MOST = 6;

    public function __construct(private Composer $composer)
    {
    }

    /** Null where none of the wishes next to it does better. */
    public function nearest(Wish $wish, Taste $taste, UnitSystem $units = UnitSystem::Metric): ?NearestWish
    {
        $now = $this->confirmed($wish, $taste, $units);
        if ($now->holds) {
            return null;
        }
        foreach (\array_slice(self::around($wish, self::harmed($now), self::planned($now)), 0, self::MOST) as $near) {
            if ($this->confirmed($near->wish, $taste, $units)->holds) {
                return $near;
            }
        }

        return null;
    }

    private function confirmed(Wish $wish, Taste $taste, UnitSystem $units): Composition
    {
        $found = $this->composer->compose($wish, $taste, $units);
        $band = new Band($found->plan, Confirmation::TANKS);

        return $found->with(Band::sureness(array_map($band->member(...), range(0, Confirmation::TANKS - 1))));
    }

    /** @return list<string> ids of the kinds that come to harm */
    private static function harmed(Composition $found): array
    {
        return array_values(array_unique(array_map(
            static fn (Harm $h): string => $h->about,
            array_filter($found->judgement->harms, static fn (Harm $h): bool => MarginState::Fails === $h->state),
        )));
    }

    /** @return array<string, int> heads by kind */
    private static function planned(Composition $found): array
    {
        $heads = [];
        foreach ($found->plan->groups as $group) {
            $heads[$group->kind->id] = ($heads[$group->kind->id] ?? 0) + $group->count;
        }

        return $heads;
    }

    /**
     * Wishes that differ in one thing.
     *
     * @param list<string>       $harmed  ids of kinds, whose turn comes first
     * @param array<string, int> $planned heads by kind in the plan that does not hold, where the wish leaves them open
     *
     * @return list<NearestWish>
     */
    public static function around(Wish $wish, array $harmed, array $planned): array
    {
        $near = LampWish::Suggest === $wish->lamp ? [] : [new NearestWish(
            new Message('nearest.lamp'),
            $wish->with(lamp: LampWish::Suggest),
        )];
        $animals = $wish->animals;
        usort($animals, static fn (WishedAnimal $a, WishedAnimal $b): int => \in_array($b->kind->id, $harmed, true)
            <=> \in_array($a->kind->id, $harmed, true));
        foreach ($animals as $animal) {
            $count = $animal->count ?? $planned[$animal->kind->id] ?? 0;
            if ($count > 1) {
                $half = intdiv($count, 2);
                $near[] = new NearestWish(
                    new Message('nearest.fewer', ['count' => $half, 'kind' => $animal->kind->common]),
                    $wish->with(animals: array_map(
                        static fn (WishedAnimal $a): WishedAnimal => $a === $animal ? new WishedAnimal($a->kind, $half) : $a,
                        $wish->animals,
                    )),
                );
            }
        }
        foreach ($animals as $animal) {
            $near[] = new NearestWish(
                new Message('nearest.without', ['kind' => $animal->kind->common]),
                $wish->with(animals: array_values(array_filter($wish->animals, static fn (WishedAnimal $a): bool => $a !== $animal))),
            );
        }

        return $near;
    }
}
