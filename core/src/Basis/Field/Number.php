<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;

/** A number, whole where its property is an int: its dimension, how it is shown, and from where to where it may go. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_CLASS_CONSTANT)]
final readonly class Number extends Description
{
    /** Share by which a bound may be rounded, and digits that may be added for it. */
    private const NEAR = 1e-3;
    private const MORE = 5;
    /** Decimals of a value that is typed exactly. */
    private const EXACT = 9;

    /**
     * @param float     $from       as stored
     * @param float     $to         as stored
     * @param int       $decimals   shown at most
     * @param Unit|null $metric     where another than the usual one of the dimension is shown
     * @param Unit|null $us         likewise
     * @param float     $perBase    stored value of one on the dimension's base scale
     * @param Ion|null  $ion        shown as this, stored as its element
     * @param bool      $orZero     0 may stand for "not known" or "as usual", outside of the range
     * @param string|null $unit     words on the control in place of the unit's symbol
     * @param float     $usual      of a value that an event is given first
     * @param bool      $clock      a time of day, in hours: shown as 9:30, typed so or as 9.30 am
     */
    public function __construct(
        string $label,
        public Dimension $dimension,
        public float $from,
        public float $to,
        string $help = '',
        public int $decimals = 1,
        public ?Unit $metric = null,
        public ?Unit $us = null,
        public float $perBase = 1.0,
        public ?Ion $ion = null,
        public bool $orZero = false,
        public ?string $unit = null,
        public float $usual = 0.0,
        public bool $clock = false,
        ?string $at = null,
        ?string $when = null,
        bool $required = false,
    ) {
        parent::__construct($label, $help, $at, $when, $required);
    }

    public function unit(UnitSystem $units): Unit
    {
        return match (true) {
            UnitSystem::Us === $units && null !== $this->us => $this->us,
            UnitSystem::Metric === $units && null !== $this->metric => $this->metric,
            default => $units->unitFor($this->dimension),
        };
    }

    /** The stored value as it stands in the field: a bare number, or a time of day. */
    public function show(float $stored, UnitSystem $units): string
    {
        return $this->clock ? self::time($stored) : $this->bare($stored, $units);
    }

    /** The stored value as a number in the shown unit, a time of day as its hours: for what is dragged or stepped. */
    public function bare(float $stored, UnitSystem $units): string
    {
        // 0 that stands for "as usual" is 0 on every scale.
        if ($this->orZero && 0.0 === $stored) {
            return '0';
        }

        return str_replace("\u{2212}", '-', Decimal::trimmed($this->unit($units)->fromBase($this->base($stored)), $this->decimals($units)));
    }

    /** The stored value with its unit, for sentences. */
    public function say(float $stored, UnitSystem $units): string
    {
        return match (true) {
            !is_finite($stored) => 'no number at all',
            $this->orZero && 0.0 === $stored => 'not given',
            $this->clock => self::time($stored),
            default => UnitSystem::in($this->unit($units), $this->base($stored), $this->decimals($units)),
        };
    }

    /** The same with as many more digits as it takes to be true: a bound of 5 mL is not 0.01 L. */
    public function sayExactly(float $stored, UnitSystem $units): string
    {
        if ($this->clock || !is_finite($stored) || ($this->orZero && 0.0 === $stored)) {
            return $this->say($stored, $units);
        }
        $unit = $this->unit($units);
        $value = $unit->fromBase($this->base($stored));
        $decimals = $this->decimals($units);
        while ($decimals < $this->decimals + self::MORE && abs(round($value, $decimals) - $value) > self::NEAR * abs($value)) {
            ++$decimals;
        }

        return UnitSystem::in($unit, $this->base($stored), $decimals);
    }

    /** The stored value as it is typed to mean just this, read alike in every system of units. */
    public function exactly(float $stored): string
    {
        if ($this->orZero && 0.0 === $stored) {
            return '0';
        }
        $unit = $this->unit(UnitSystem::Metric);

        return rtrim(\sprintf('%s %s', round($unit->fromBase($this->base($stored)), self::EXACT), $unit->symbol()));
    }

    /**
     * Two stored values side by side, with as many more digits as it takes to look different where they are.
     *
     * @return array{string, string}
     */
    public function sayBoth(float $one, float $other, UnitSystem $units): array
    {
        $both = [$this->say($one, $units), $this->say($other, $units)];
        for ($more = 1; $more <= self::MORE && $both[0] === $both[1] && $one !== $other; ++$more) {
            $both = array_map(
                fn (float $value): string => UnitSystem::in($this->unit($units), $this->base($value), $this->decimals($units) + $more),
                [$one, $other],
            );
        }

        return $both;
    }

    /**
     * The value to store for a typed text.
     *
     * @throws UnreadableQuantity
     */
    public function read(string $typed, UnitSystem $units): float
    {
        if ($this->orZero && 1 === preg_match('/^\s*0+\s*$/D', $typed)) {
            return 0.0;
        }
        $clock = $this->clock ? QuantityReader::clock($typed) : null;

        return $clock ?? QuantityReader::read($typed, $this->unit($units)) * $this->stored(1.0);
    }

    /** "9:30" of 9.5 h. */
    private static function time(float $hours): string
    {
        $minutes = (int) round(60 * $hours);

        return \sprintf('%s%d:%02d', $minutes < 0 ? '−' : '', intdiv(abs($minutes), 60), abs($minutes) % 60);
    }

    /** Digits after the point: units that are small by themselves need none. */
    private function decimals(UnitSystem $units): int
    {
        return Unit::MilligramPerLitreCalciumCarbonate === $this->unit($units) ? 0 : $this->decimals;
    }

    private function base(float $stored): float
    {
        return $stored / $this->stored(1.0);
    }

    private function stored(float $base): float
    {
        return ($base * $this->perBase) / ($this->ion?->perElement() ?? 1.0);
    }

    public function allows(float $stored): bool
    {
        return is_finite($stored)
            && (($stored >= $this->from - 1e-12 && $stored <= $this->to + 1e-12) || ($this->orZero && 0.0 === $stored));
    }

    public function schema(bool $whole): array
    {
        $bound = static fn (float $value): float|int => floor($value) === $value ? (int) $value : $value;

        $range = ['minimum' => $bound($this->from), 'maximum' => $bound($this->to)];

        return [
            'type' => $whole ? 'integer' : 'number',
            ...$this->orZero && $this->from > 0 ? ['anyOf' => [['const' => 0], $range]] : $range,
        ];
    }
}
