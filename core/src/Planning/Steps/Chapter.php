<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Planning\Plan\Plan;

/**
 * A part of the building, with its steps in order; only those that a plan needs.
 *
 * @internal
 */
abstract readonly class Chapter
{
    public function __construct(protected Plan $plan)
    {
    }

    /** @return list<Step|null> null for what this plan does not need */
    abstract public function steps(): array;

    /**
     * @template T
     *
     * @param array<T>            $things
     * @param \Closure(T): string $name
     *
     * @return list<string> each once
     */
    protected static function names(array $things, \Closure $name): array
    {
        return array_values(array_unique(array_map($name, $things)));
    }
}
