<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;

/** A whole part of another plan in place of one's own: its bed, its light. */
final readonly class TakePart implements Change
{
    /**
     * @param string       $words "bed"
     * @param list<string> $keys  of a plan's document that make up the part
     */
    public function __construct(private Plan $from, private string $words, private array $keys)
    {
    }

    public function place(): string
    {
        return $this->keys[0];
    }

    public function typed(): string
    {
        return $this->from->name;
    }

    public function make(Draft $draft): ?string
    {
        $data = (new PlanDocument($draft->catalogue))->toArray($this->from);
        $changed = false;
        foreach ($this->keys as $key) {
            $changed = $draft->put([$key], $data[$key]) || $changed;
        }

        return $changed ? "$this->words as in {$this->from->name}" : null;
    }
}
