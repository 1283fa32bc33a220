<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Planning\Plan\Plan;

/**
 * Looks one part of a plan through for mistakes.
 *
 * @internal
 */
abstract readonly class Review
{
    final public function __construct(protected Plan $plan)
    {
    }

    /** @return list<Mistake|null> in working order; null for what is right */
    abstract public function mistakes(): array;
}
