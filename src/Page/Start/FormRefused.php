<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Problem;
use Olvek\Core\Planning\Plan\Refused;

/** A form that starts a tank has entries from which no plan can be made yet. */
final class FormRefused extends \InvalidArgumentException implements Refused
{
    /** @param non-empty-list<Problem> $problems by the names of the form's fields */
    private function __construct(private readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(static fn (Problem $problem): string => $problem->message(), $problems)));
    }

    /** @param string|\Closure(UnitSystem): string $why */
    public static function at(string $field, string|\Closure $why): self
    {
        return new self([new Problem($field, $why)]);
    }

    /** @param non-empty-list<Problem> $problems */
    public static function all(array $problems): self
    {
        return new self($problems);
    }

    public function messages(UnitSystem $units): array
    {
        return Problem::byPlace($this->problems, $units);
    }
}
