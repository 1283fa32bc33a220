<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;

/** Another kind, from the table of the catalogue that a place names, where nothing else goes with it. */
final readonly class TakeKind implements Change
{
    /** @param string $kind id in the catalogue; "" for none in particular */
    public function __construct(private string $place, private string $kind)
    {
    }

    public function place(): string
    {
        return $this->place;
    }

    public function typed(): string
    {
        return $this->kind;
    }

    public function make(Draft $draft): ?string
    {
        $told = $draft->kindOf($this->place) ?? throw new RefusedEdit('Olvek does not know this part of a plan.');
        $kind = $draft->catalogue->table($told->table)[$this->kind] ?? null;
        if (null === $kind && '' !== $this->kind) {
            throw new RefusedEdit("Choose $told->what from the list.");
        }
        $item = $draft->itemName($this->place);
        $name = isset($kind->name) && \is_string($kind->name) ? mb_strtolower($kind->name) : $told->none;

        return $draft->put($draft->keys($this->place), '' === $this->kind ? null : $this->kind)
            ? (null === $item ? '' : "$item, ").$told->label.": $name"
            : null;
    }
}
