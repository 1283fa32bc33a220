<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

/** Another name for the tank. */
final readonly class Rename implements Change
{
    public function __construct(private string $name)
    {
    }

    public function place(): string
    {
        return 'name';
    }

    public function typed(): string
    {
        return $this->name;
    }

    public function make(Draft $draft): ?string
    {
        return $draft->put(['name'], $this->name) ? "name $this->name" : null;
    }
}
