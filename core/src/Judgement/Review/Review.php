<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;

/**
 * Looks one part of a plan through for mistakes.
 *
 * @internal
 */
abstract readonly class Review
{
    final public function __construct(protected Plan $plan, protected UnitSystem $units)
    {
    }

    /** @return list<Mistake|null> in working order; null for what is right */
    abstract public function mistakes(): array;

    protected function length(float $metres): string
    {
        return $this->units->show(Dimension::Length, $metres);
    }

    protected function mass(float $kilograms): string
    {
        return $this->units->show(Dimension::Mass, 1000 * $kilograms, 0);
    }
}
