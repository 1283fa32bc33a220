<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

/** One item of a list removed, with what was planned for it. */
final readonly class Remove implements Change
{
    /** @param string $list "plants", "animals", "hardscape" or "events" */
    public function __construct(private string $list, private string $id)
    {
    }

    public function place(): string
    {
        return "$this->list.$this->id.remove";
    }

    public function typed(): string
    {
        return '1';
    }

    public function make(Draft $draft): string
    {
        $index = $draft->index($this->list, $this->id);
        $name = $draft->name($this->list, $index);
        $items = $draft->items($this->list);
        array_splice($items, $index, 1);
        $draft->put([$this->list], $items);
        if ([] === $items && 'animals' === $this->list) {
            $draft->put(['feeding', 'grams'], 0.0);
        }
        $of = ['plants' => 'clump', 'animals' => 'group'][$this->list] ?? null;
        if (null !== $of) {
            $draft->put(
                ['events'],
                array_values(array_filter($draft->items('events'), fn (array $e): bool => ($e[$of] ?? null) !== $this->id)),
            );
        }

        return $name.' removed';
    }
}
