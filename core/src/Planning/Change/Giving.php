<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Grown;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\SectionReader;

/**
 * What one tank gives another: plants, animals, stones and wood, a bucket of its bed, its water. In the plan that takes, each comes as
 * from another tank; in the plan that gives, it is planned to go out on a day.
 */
final readonly class Giving
{
    /**
     * @param array<string, int> $pieces  so many of each clump, by its id
     * @param array<string, int> $heads   so many of each group, by its id
     * @param list<string>       $things  ids of stones and wood
     * @param bool               $bed     a bucket of its gravel or sand, with the bacteria on it
     * @param bool               $water   its water to fill with
     */
    public function __construct(
        private Plan $giver,
        private array $pieces = [],
        private array $heads = [],
        private array $things = [],
        private bool $bed = false,
        private bool $water = false,
    ) {
    }

    public function isEmpty(): bool
    {
        return [] === $this->clumps() && [] === $this->groups() && [] === $this->stones() && !$this->bed && !$this->water;
    }

    /**
     * What the plan that takes says of it.
     *
     * @param int $day on which plants and animals come, of that tank
     *
     * @return list<Change>
     */
    public function taken(int $day): array
    {
        $changes = [];
        foreach ($this->clumps() as [$clump, $pieces]) {
            $changes[] = AddItem::thing(
                'plants',
                [
                    'kind' => $clump->kind->id,
                    ...SectionReader::write($clump),
                    'pieces' => $pieces,
                    'day' => $day,
                    'grown' => Grown::Water->value,
                    'source' => Source::OwnTank->value,
                ],
                \sprintf('%d × %s from %s', $pieces, $clump->kind->common, $this->giver->name),
            );
        }
        foreach ($this->groups() as [$group, $count]) {
            $changes[] = AddItem::thing(
                'animals',
                [
                    'kind' => $group->kind->id,
                    ...SectionReader::write($group),
                    'count' => $count,
                    'day' => $day,
                    'source' => Source::OwnTank->value,
                ],
                \sprintf('%d × %s from %s', $count, $group->kind->common, $this->giver->name),
            );
        }
        foreach ($this->stones() as $piece) {
            $changes[] = AddItem::thing(
                'hardscape',
                ['kind' => $piece->kind->id, ...SectionReader::write($piece), 'source' => Source::OwnTank->value],
                \sprintf('%s from %s', $piece->kind->name, $this->giver->name),
            );
        }
        if ($this->bed) {
            $changes[] = new Choose('start.inoculum', Inoculum::SeasonedBed->value);
        }
        if ($this->water) {
            $changes[] = new TakeWater('water', 'running-tank');
        }

        return $changes;
    }

    /**
     * What the plan that gives says of it.
     *
     * @param int $day on which it goes out, of this tank
     *
     * @return list<Change>
     */
    public function given(int $day): array
    {
        $changes = [];
        foreach ($this->clumps() as [$clump, $pieces]) {
            $changes[] = $pieces >= $clump->pieces
                ? AddItem::event(EventKind::Remove, $day, [], $clump->id)
                : AddItem::event(EventKind::Trim, $day, ['share' => round($pieces / $clump->pieces, 3)], $clump->id);
        }
        foreach ($this->groups() as [$group, $count]) {
            $changes[] = AddItem::event(EventKind::TakeOut, $day, ['count' => $count], $group->id);
        }
        foreach ($this->stones() as $piece) {
            $changes[] = new Remove('hardscape', $piece->id);
        }

        return $changes;
    }

    /** What goes over, in a few words. */
    public function words(): string
    {
        return implode(', ', [
            ...array_map(static fn (array $c): string => \sprintf('%d × %s', $c[1], $c[0]->kind->common), $this->clumps()),
            ...array_map(static fn (array $g): string => \sprintf('%d × %s', $g[1], $g[0]->kind->common), $this->groups()),
            ...array_map(static fn ($p): string => mb_strtolower($p->kind->name), $this->stones()),
            ...$this->bed ? ['a bucket of its bed'] : [],
            ...$this->water ? ['its water'] : [],
        ]);
    }

    /** @return list<array{Clump, int}> */
    public function clumps(): array
    {
        $found = [];
        foreach ($this->giver->clumps as $clump) {
            $pieces = $this->pieces[$clump->id] ?? 0;
            if ($pieces > 0) {
                $found[] = [$clump, $pieces];
            }
        }

        return $found;
    }

    /** @return list<array{Group, int}> */
    public function groups(): array
    {
        $found = [];
        foreach ($this->giver->groups as $group) {
            $count = $this->heads[$group->id] ?? 0;
            if ($count > 0) {
                $found[] = [$group, $count];
            }
        }

        return $found;
    }

    /** @return list<\Olvek\Core\Nature\Hardscape\Piece> */
    private function stones(): array
    {
        return array_values(array_filter($this->giver->pieces, fn ($p): bool => \in_array($p->id, $this->things, true)));
    }
}
