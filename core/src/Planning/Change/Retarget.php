<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;

/** A planned event concerns another clump or group. */
final readonly class Retarget implements Change
{
    /**
     * @param string $of "clump" or "group"
     * @param string $id of that
     */
    public function __construct(private string $event, private string $of, private string $id)
    {
    }

    public function place(): string
    {
        return "events.$this->event.$this->of";
    }

    public function typed(): string
    {
        return $this->id;
    }

    public function make(Draft $draft): ?string
    {
        $index = $draft->index('events', $this->event);
        if (!\in_array($this->id, array_column($draft->items('clump' === $this->of ? 'plants' : 'animals'), 'id'), true)) {
            throw new RefusedEdit("Choose one of the plan’s {$this->of}s.");
        }

        return $draft->put(['events', $index, $this->of], $this->id) ? $draft->name('events', $index)." of another $this->of" : null;
    }
}
