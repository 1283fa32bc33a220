<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Nature\Animal\AnimalKind;

/** The animals of a tank: as they are planned, or as many as there are on a day. */
final readonly class Stock
{
    /** @param list<Group> $groups */
    public function __construct(public array $groups)
    {
    }

    /** Males that there may be of a kind: all of those whose sex nobody knows. */
    public function males(AnimalKind $kind): int
    {
        return array_sum(
            array_map(
                static fn (Group $g): int => $g->kind->id === $kind->id ? $g->sexes->males($g->count) : 0,
                $this->groups,
            ),
        );
    }

    /** Day on which the first animals come, or null. */
    public function firstDay(): ?int
    {
        $days = array_map(static fn (Group $g): int => $g->day, array_filter($this->groups, static fn (Group $g): bool => $g->count > 0));

        return [] === $days ? null : min($days);
    }

    /** Day on which the first of a kind come; 0 where none do. */
    public function arrival(AnimalKind $kind): int
    {
        $days = array_map(
            static fn (Group $g): int => $g->day,
            array_filter($this->groups, static fn (Group $g): bool => $g->kind->id === $kind->id),
        );

        return [] === $days ? 0 : min($days);
    }
}
