<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Basis\Unit\Words;

/** A number at a place of a plan, as a keeper sees and types it. */
final readonly class Field
{
    public function __construct(public string $path, public string $label, public Number $number, public bool $whole)
    {
    }

    /** The number at a place of any plan, or null where the place names none. */
    public static function at(string $place): ?self
    {
        return PlanFields::of()->number($place);
    }

    public function unit(UnitSystem $units): Unit
    {
        return $this->number->unit($units);
    }

    /** What stands behind the number on its control. */
    public function suffix(UnitSystem $units): string
    {
        return $this->number->unit ?? $this->unit($units)->symbol();
    }

    /** The stored value as it stands in the field: a bare number, or a time of day. */
    public function show(float $stored, UnitSystem $units): string
    {
        return $this->number->show($stored, $units);
    }

    /** The stored value as a number in the shown unit, for what is dragged. */
    public function bare(float $stored, UnitSystem $units): string
    {
        return $this->number->bare($stored, $units);
    }

    public function isClock(): bool
    {
        return $this->number->clock;
    }

    /** The stored value with its unit, for sentences. */
    public function say(float $stored, UnitSystem $units): string
    {
        return $this->number->say($stored, $units);
    }

    /**
     * The value to store for a typed text.
     *
     * @throws UnreadableQuantity
     */
    public function read(string $typed, UnitSystem $units): float|int
    {
        $stored = $this->number->read($typed, $units);
        if (!$this->whole) {
            return $stored;
        }
        if (abs($stored) > 1e9 || abs($stored - round($stored)) > 1e-9) {
            throw new UnreadableQuantity('Type a whole number.');
        }

        return (int) round($stored);
    }

    /** The stored value as it is typed to mean just this, read alike in every system of units. */
    public function exactly(float $stored): string
    {
        return $this->number->exactly($stored);
    }

    /**
     * Two stored values side by side, which look different where they are.
     *
     * @return array{string, string}
     */
    public function sayBoth(float $one, float $other, UnitSystem $units): array
    {
        return $this->number->sayBoth($one, $other, $units);
    }

    /** What is wrong with a value, if anything. */
    public function problem(float $stored): ?Problem
    {
        return $this->number->allows($stored)
            ? null
            : new Problem(
                $this->path,
                fn (UnitSystem $u): string => \sprintf(
                    '%s: from %s to %s; this says %s.',
                    Words::capital($this->label),
                    $this->number->sayExactly($this->number->from, $u),
                    $this->number->sayExactly($this->number->to, $u),
                    $this->number->sayExactly($stored, $u),
                ),
            );
    }
}
