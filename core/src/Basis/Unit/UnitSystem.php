<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/** The keeper's choice of units; typed values are accepted in either. */
enum UnitSystem: string
{
    case Metric = 'metric';
    case Us = 'us';

    /** Digits that may be added to tell values apart. */
    private const MOST_MORE = 6;
    /** Below it a value is 0 but for the arithmetic. */
    private const NOTHING = 1e-9;

    /** The unit in which lengths of tanks and layers are shown. */
    public function length(): Unit
    {
        return self::Us === $this ? Unit::Inch : Unit::Centimetre;
    }

    public function volume(): Unit
    {
        return self::Us === $this ? Unit::UsGallon : Unit::Litre;
    }

    public function mass(): Unit
    {
        return self::Us === $this ? Unit::Pound : Unit::Kilogram;
    }

    public function temperature(): Unit
    {
        return self::Us === $this ? Unit::Fahrenheit : Unit::Celsius;
    }

    /** The unit for a dimension; where both systems agree, the common one. */
    public function unitFor(Dimension $dimension): Unit
    {
        return match ($dimension) {
            Dimension::Length => $this->length(),
            Dimension::Area => self::Us === $this ? Unit::SquareInch : Unit::SquareCentimetre,
            Dimension::Volume => $this->volume(),
            Dimension::Mass => $this->mass(),
            Dimension::Temperature => $this->temperature(),
            Dimension::TemperatureDifference => self::Us === $this ? Unit::FahrenheitStep : Unit::CelsiusStep,
            Dimension::Hardness => self::Us === $this ? Unit::MilligramPerLitreCalciumCarbonate : Unit::GermanDegree,
            Dimension::Duration => Unit::Hour,
            Dimension::Share => Unit::Percent,
            Dimension::LuminousFlux => Unit::Lumen,
            Dimension::PhotonFluxDensity => Unit::Micromole,
            Dimension::Count => Unit::Piece,
            Dimension::Acidity => Unit::PhScale,
            Dimension::Concentration => Unit::MilligramPerLitre,
            Dimension::Conductivity => Unit::MicrosiemensPerCentimetre,
        };
    }

    /** A base-scale value as text in this system, e.g. "2.5 cm" or "1 in"; digits after the point at most $decimals. */
    public function show(Dimension $dimension, float $base, int $decimals = 1): string
    {
        return self::in($this->unitFor($dimension), $base, $decimals);
    }

    /** A base-scale value as text, rounded to so many significant figures. */
    public function about(Dimension $dimension, float $base, int $digits = 2): string
    {
        $unit = $this->unitFor($dimension);

        return rtrim(Decimal::significant($unit->fromBase($base), $digits)."\u{00A0}".$unit->symbol(), "\u{00A0}");
    }

    /**
     * Values that are told side by side, as texts of which no two are alike unless the values are: with as many more digits as it takes.
     *
     * @param list<float> $base on the dimension's base scale
     *
     * @return list<string>
     */
    public function apart(Dimension $dimension, array $base, int $decimals = 1): array
    {
        $texts = [];
        for ($more = 0; $more <= self::MOST_MORE; ++$more) {
            $texts = array_map(fn (float $value): string => $this->show($dimension, $value, $decimals + $more), $base);
            if (\count(array_unique($texts)) === \count(array_unique(array_map(strval(...), $base)))) {
                break;
            }
        }

        return $texts;
    }

    /** A base-scale value as text in a given unit, without trailing zeros. */
    public static function in(Unit $unit, float $base, int $decimals): string
    {
        $value = $unit->fromBase($base);
        // What is little is not nothing.
        $text =
            abs($value) > self::NOTHING && 0.0 === round(abs($value), $decimals)
                ? Decimal::significant($value, 2)
                : Decimal::trimmed($value, $decimals);

        return '' === $unit->symbol() ? $text : $text.('%' === $unit->symbol() ? "\u{202F}" : "\u{00A0}").$unit->symbol();
    }
}
