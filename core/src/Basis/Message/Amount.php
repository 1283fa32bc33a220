<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Message;

use Olvek\Core\Basis\Unit\Dimension;

/** A quantity within a message. Its unit is chosen when the message is formatted. */
final readonly class Amount implements Value
{
    /**
     * @param float       $base     in the dimension's base unit
     * @param int         $decimals at most, in the unit that a keeper reads
     * @param list<float> $besides  others that stand in the same sentence, from which it must be told apart
     * @param float|null  $to       upper end of a range
     * @param int|null    $figures  significant ones, in place of decimals, where the quantity is a rough one
     * @param bool        $thin     a thickness, told in millimetres or hundredths of an inch
     */
    private function __construct(
        public Dimension $dimension,
        public float $base,
        public int $decimals,
        public array $besides = [],
        public ?float $to = null,
        public ?int $figures = null,
        public bool $thin = false,
    ) {
    }

    public static function range(Dimension $dimension, float $from, float $to, int $decimals): self
    {
        return new self($dimension, $from, $decimals, [], $to);
    }

    public static function length(float $metres, float ...$besides): self
    {
        return new self(Dimension::Length, $metres, 1, array_values($besides));
    }

    /** Of a pane. */
    public static function thickness(float $metres): self
    {
        return new self(Dimension::Length, $metres, 1, thin: true);
    }

    public static function volume(float $litres, int $decimals = 1): self
    {
        return new self(Dimension::Volume, $litres, $decimals);
    }

    public static function mass(float $kilograms, int $decimals = 0): self
    {
        return new self(Dimension::Mass, 1000 * $kilograms, $decimals);
    }

    /** @param float $degrees °dH */
    public static function hardness(float $degrees): self
    {
        return new self(Dimension::Hardness, $degrees, 0);
    }

    /** @param float $milligrams per litre */
    public static function concentration(float $milligrams): self
    {
        return new self(Dimension::Concentration, $milligrams, 1);
    }

    /** A mass that is only a rule of thumb, as "440 lb" for 200 kg. */
    public static function roughMass(float $kilograms): self
    {
        return new self(Dimension::Mass, 1000 * $kilograms, 0, figures: 2);
    }

    public static function temperatureDifference(float $celsius): self
    {
        return new self(Dimension::TemperatureDifference, $celsius, 0);
    }

    public static function temperature(float $celsius): self
    {
        return new self(Dimension::Temperature, $celsius, 1);
    }
}
