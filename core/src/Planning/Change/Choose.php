<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;

/** Another of the words that a place takes. */
final readonly class Choose implements Change
{
    public function __construct(private string $place, private string|bool $value)
    {
    }

    public function place(): string
    {
        return $this->place;
    }

    public function typed(): string
    {
        return \is_bool($this->value) ? ($this->value ? 'yes' : 'no') : $this->value;
    }

    public function make(Draft $draft): ?string
    {
        $choice = $draft->choice($this->place) ?? throw new RefusedEdit('Olvek does not know this part of a plan.');
        $stored = $choice->read($this->typed());
        // A sealed vessel is never opened to feed.
        $unfed = 'site.sealed' === $this->place && true === $stored && $draft->put(['feeding', 'grams'], 0.0);
        if (!$draft->put($draft->keys($this->place), $stored)) {
            return null;
        }
        $item = $draft->itemName($this->place);

        return null === $item
            ? "$choice->label: ".$choice->options[$this->typed()].($unfed ? ', nothing fed' : '')
            : "$item ".$choice->options[$this->typed()];
    }
}
