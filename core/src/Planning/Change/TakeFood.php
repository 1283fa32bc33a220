<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;

/** Another food, which brings its protein. */
final readonly class TakeFood implements Change
{
    /** @param string $food id in the catalogue; "" for none in particular */
    public function __construct(private string $food)
    {
    }

    public function place(): string
    {
        return 'feeding.food';
    }

    public function typed(): string
    {
        return $this->food;
    }

    public function make(Draft $draft): ?string
    {
        $food = '' === $this->food ? null : $draft->catalogue->foods[$this->food] ?? throw new RefusedEdit('Choose a food from the list.');
        if (null !== $food) {
            $draft->put(['feeding', 'protein'], $food->protein->value);
        }

        return $draft->put(['feeding', 'food'], $food?->id)
            ? 'food '.(null === $food ? 'of no kind in particular' : mb_strtolower($food->name))
            : null;
    }
}
