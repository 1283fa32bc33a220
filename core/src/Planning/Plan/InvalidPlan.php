<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Unit\UnitSystem;

/** A plan that breaks its rules, with every problem found. */
final class InvalidPlan extends \InvalidArgumentException implements Refused
{
    /** @param non-empty-list<Problem> $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(static fn (Problem $p): string => $p->path.': '.$p->message(), $problems)));
    }

    public function messages(UnitSystem $units): array
    {
        return Problem::byPlace($this->problems, $units);
    }
}
