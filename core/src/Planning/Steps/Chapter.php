<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;

/**
 * A part of the building, with its steps in order; only those that a plan needs.
 *
 * @internal
 */
abstract readonly class Chapter
{
    public function __construct(protected Plan $plan, protected UnitSystem $units)
    {
    }

    /** @return list<Step|null> null for what this plan does not need */
    abstract public function steps(): array;

    protected function litres(float $litres): string
    {
        return $this->units->show(Dimension::Volume, $litres);
    }

    protected function length(float $metres): string
    {
        return $this->units->show(Dimension::Length, $metres);
    }

    protected function celsius(float $celsius): string
    {
        return $this->units->show(Dimension::Temperature, $celsius, 0);
    }

    /**
     * @template T
     *
     * @param array<T>            $things
     * @param \Closure(T): string $name
     */
    protected static function names(array $things, \Closure $name): string
    {
        return implode(', ', array_unique(array_map($name, $things)));
    }
}
