<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

/** What a plan says, laid out flat: values by place, and the items of its lists. */
final readonly class FlattenedPlan
{
    private const ITEM = '/^(plants|animals|hardscape|zones|events|doses)\.([^.]+)(?:\.|$)/';

    /**
     * @param array<string, mixed>                                                         $leaves by place; an item's under "list.id"
     * @param array<string, array<string, array{kind: string, name: string, brief: string}>> $lists  items by list and id
     * @param array<string, true>                                                          $dormant places that do not matter now
     */
    public function __construct(public array $leaves, private array $lists, private array $dormant)
    {
    }

    /** @return array{string, string}|null list and id of the item in which a place lies */
    public static function item(string $place): ?array
    {
        return 1 === preg_match(self::ITEM, $place, $match) ? [$match[1], $match[2]] : null;
    }

    /** @return list<string> */
    public function lists(): array
    {
        return array_keys($this->lists);
    }

    /** @return array<string, array{kind: string, name: string, brief: string}> by id */
    public function items(string $list): array
    {
        return $this->lists[$list] ?? [];
    }

    public function matters(string $place): bool
    {
        return isset($this->leaves[$place]) && !isset($this->dormant[$place]);
    }

    /**
     * The same with items of a list under other ids.
     *
     * @param array<string, string> $ids new id by old
     */
    public function renamed(string $list, array $ids): self
    {
        $under = static function (string $place) use ($list, $ids): string {
            $item = self::item($place);

            return null !== $item && $item[0] === $list && isset($ids[$item[1]])
                ? $list.'.'.$ids[$item[1]].substr($place, \strlen("$list.$item[1]"))
                : $place;
        };
        $leaves = $dormant = $items = [];
        foreach ($this->leaves as $place => $value) {
            $leaves[$under($place)] = $value;
        }
        foreach (array_keys($this->dormant) as $place) {
            $dormant[$under($place)] = true;
        }
        foreach ($this->items($list) as $id => $item) {
            $items[$ids[$id] ?? $id] = $item;
        }

        return new self($leaves, [...$this->lists, $list => $items], $dormant);
    }
}
