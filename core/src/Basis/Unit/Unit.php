<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/**
 * A unit of measurement and its place on its dimension's base scale.
 *
 * Base scales: m, m², L, g, °C, °dH, h, 1 (shares), lm, µmol m⁻² s⁻¹, 1 (counts), pH, mg/L.
 * Factors: P, NIST Special Publication 811 (2008), Guide for the Use of the International System of Units, appendix B;
 * degrees of German hardness: P, DIN 38409-6:1986, 1 °dH = 17.848 mg/L as CaCO3 = 0.3566 meq/L.
 */
enum Unit: string
{
    case Metre = 'm';
    case Centimetre = 'cm';
    case Millimetre = 'mm';
    case Inch = 'in';
    case Foot = 'ft';
    case SquareMetre = 'm2';
    case SquareCentimetre = 'cm2';
    case SquareInch = 'in2';
    case SquareFoot = 'ft2';
    case Litre = 'l';
    case Millilitre = 'ml';
    case CubicMetre = 'm3';
    case UsGallon = 'usgal';
    case ImperialGallon = 'impgal';
    case UsQuart = 'usqt';
    case UsFluidOunce = 'usfloz';
    case CubicFoot = 'ft3';
    case CubicInch = 'in3';
    case Kilogram = 'kg';
    case Gram = 'g';
    case Milligram = 'mg';
    case Pound = 'lb';
    case Ounce = 'oz';
    case Celsius = 'degC';
    case Fahrenheit = 'degF';
    case Kelvin = 'K';
    case CelsiusStep = 'degC step';
    case FahrenheitStep = 'degF step';
    case GermanDegree = 'dH';
    case MilligramPerLitreCalciumCarbonate = 'ppmCaCO3';
    case MilliequivalentPerLitre = 'meq/l';
    case Hour = 'h';
    case Minute = 'min';
    case Day = 'd';
    case Week = 'wk';
    case Fraction = '1';
    case Percent = '%';
    case Lumen = 'lm';
    case Micromole = 'umol/m2/s';
    case Piece = 'pcs';
    case PhScale = 'pH';
    case MilligramPerLitre = 'mg/l';
    case MicrosiemensPerCentimetre = 'uS/cm';

    /** The US liquid gallon is exactly 231 cubic inches. */
    private const LITRES_PER_US_GALLON = 3.785411784;
    private const METRES_PER_INCH = 0.0254;
    private const GRAMS_PER_POUND = 453.59237;

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Metre, self::Centimetre, self::Millimetre, self::Inch, self::Foot => Dimension::Length,
            self::SquareMetre, self::SquareCentimetre, self::SquareInch, self::SquareFoot => Dimension::Area,
            self::Litre,
            self::Millilitre,
            self::CubicMetre,
            self::UsGallon,
            self::ImperialGallon,
            self::UsQuart,
            self::UsFluidOunce,
            self::CubicFoot,
            self::CubicInch => Dimension::Volume,
            self::Kilogram, self::Gram, self::Milligram, self::Pound, self::Ounce => Dimension::Mass,
            self::Celsius, self::Fahrenheit, self::Kelvin => Dimension::Temperature,
            self::CelsiusStep, self::FahrenheitStep => Dimension::TemperatureDifference,
            self::GermanDegree, self::MilligramPerLitreCalciumCarbonate, self::MilliequivalentPerLitre => Dimension::Hardness,
            self::Hour, self::Minute, self::Day, self::Week => Dimension::Duration,
            self::Fraction, self::Percent => Dimension::Share,
            self::Lumen => Dimension::LuminousFlux,
            self::Micromole => Dimension::PhotonFluxDensity,
            self::Piece => Dimension::Count,
            self::PhScale => Dimension::Acidity,
            self::MilligramPerLitre => Dimension::Concentration,
            self::MicrosiemensPerCentimetre => Dimension::Conductivity,
        };
    }

    /** The value on the base scale of a value in this unit. */
    public function toBase(float $value): float
    {
        return $value * $this->factor() + $this->offset();
    }

    /** The value in this unit of a value on the base scale. */
    public function fromBase(float $value): float
    {
        return ($value - $this->offset()) / $this->factor();
    }

    /** @throws UnreadableQuantity when the dimensions differ */
    public function convertTo(self $other, float $value): float
    {
        if ($this->dimension() !== $other->dimension()) {
            throw UnreadableQuantity::mismatch($this, $other);
        }

        return $other->fromBase($this->toBase($value));
    }

    /** The sign shown after a number. */
    public function symbol(): string
    {
        return match ($this) {
            self::SquareMetre => 'm²',
            self::SquareCentimetre => 'cm²',
            self::SquareInch => 'in²',
            self::SquareFoot => 'ft²',
            self::Litre => 'L',
            self::Millilitre => 'mL',
            self::CubicMetre => 'm³',
            self::UsGallon => 'gal',
            self::ImperialGallon => 'imp gal',
            self::UsQuart => 'qt',
            self::UsFluidOunce => 'fl oz',
            self::CubicFoot => 'ft³',
            self::CubicInch => 'in³',
            self::Celsius, self::CelsiusStep => '°C',
            self::Fahrenheit, self::FahrenheitStep => '°F',
            self::GermanDegree => '°dH',
            self::MilligramPerLitreCalciumCarbonate => 'ppm',
            self::MilliequivalentPerLitre => 'meq/L',
            self::Fraction, self::Piece, self::PhScale => '',
            self::Micromole => 'µmol/m²/s',
            self::MilligramPerLitre => 'mg/L',
            self::MicrosiemensPerCentimetre => 'µS/cm',
            default => $this->value,
        };
    }

    /** Reads a unit as keepers write it ("gal", "″", "litres"), or null. Case matters only where it must (none here). */
    public static function named(string $name): ?self
    {
        $key = mb_strtolower(trim($name));

        return self::NAMES[$key] ?? null;
    }

    private const NAMES = [
        'm' => self::Metre,
        'metre' => self::Metre,
        'metres' => self::Metre,
        'meter' => self::Metre,
        'meters' => self::Metre,
        'cm' => self::Centimetre,
        'centimetre' => self::Centimetre,
        'centimetres' => self::Centimetre,
        'centimeter' => self::Centimetre,
        'centimeters' => self::Centimetre,
        'mm' => self::Millimetre,
        'millimetre' => self::Millimetre,
        'millimetres' => self::Millimetre,
        'millimeter' => self::Millimetre,
        'millimeters' => self::Millimetre,
        'in' => self::Inch,
        'inch' => self::Inch,
        'inches' => self::Inch,
        '"' => self::Inch,
        '″' => self::Inch,
        '”' => self::Inch,
        'ft' => self::Foot,
        'foot' => self::Foot,
        'feet' => self::Foot,
        "'" => self::Foot,
        '′' => self::Foot,
        '’' => self::Foot,
        'm2' => self::SquareMetre,
        'm²' => self::SquareMetre,
        'cm2' => self::SquareCentimetre,
        'cm²' => self::SquareCentimetre,
        'in2' => self::SquareInch,
        'in²' => self::SquareInch,
        'ft2' => self::SquareFoot,
        'ft²' => self::SquareFoot,
        'l' => self::Litre,
        'litre' => self::Litre,
        'litres' => self::Litre,
        'liter' => self::Litre,
        'liters' => self::Litre,
        'ltr' => self::Litre,
        'ml' => self::Millilitre,
        'm3' => self::CubicMetre,
        'm³' => self::CubicMetre,
        'gal' => self::UsGallon,
        'gallon' => self::UsGallon,
        'gallons' => self::UsGallon,
        'usgal' => self::UsGallon,
        'us gal' => self::UsGallon,
        'us gallon' => self::UsGallon,
        'us gallons' => self::UsGallon,
        'impgal' => self::ImperialGallon,
        'imp gal' => self::ImperialGallon,
        'imperial gallon' => self::ImperialGallon,
        'imperial gallons' => self::ImperialGallon,
        'ukgal' => self::ImperialGallon,
        'uk gal' => self::ImperialGallon,
        'qt' => self::UsQuart,
        'usqt' => self::UsQuart,
        'quart' => self::UsQuart,
        'quarts' => self::UsQuart,
        'floz' => self::UsFluidOunce,
        'fl oz' => self::UsFluidOunce,
        'usfloz' => self::UsFluidOunce,
        'ft3' => self::CubicFoot,
        'ft³' => self::CubicFoot,
        'cu ft' => self::CubicFoot,
        'cuft' => self::CubicFoot,
        'in3' => self::CubicInch,
        'in³' => self::CubicInch,
        'kg' => self::Kilogram,
        'kilo' => self::Kilogram,
        'kilos' => self::Kilogram,
        'g' => self::Gram,
        'gram' => self::Gram,
        'grams' => self::Gram,
        'gramme' => self::Gram,
        'grammes' => self::Gram,
        'mg' => self::Milligram,
        'lb' => self::Pound,
        'lbs' => self::Pound,
        'pound' => self::Pound,
        'pounds' => self::Pound,
        'oz' => self::Ounce,
        'ounce' => self::Ounce,
        'ounces' => self::Ounce,
        '°c' => self::Celsius,
        'c' => self::Celsius,
        'degc' => self::Celsius,
        'celsius' => self::Celsius,
        '°f' => self::Fahrenheit,
        'f' => self::Fahrenheit,
        'degf' => self::Fahrenheit,
        'fahrenheit' => self::Fahrenheit,
        'k' => self::Kelvin,
        'kelvin' => self::Kelvin,
        'dh' => self::GermanDegree,
        '°dh' => self::GermanDegree,
        'dkh' => self::GermanDegree,
        'dgh' => self::GermanDegree,
        'ppm' => self::MilligramPerLitreCalciumCarbonate,
        'ppm caco3' => self::MilligramPerLitreCalciumCarbonate,
        'ppm caco₃' => self::MilligramPerLitreCalciumCarbonate,
        'ppmcaco3' => self::MilligramPerLitreCalciumCarbonate,
        'meq/l' => self::MilliequivalentPerLitre,
        'h' => self::Hour,
        'hr' => self::Hour,
        'hrs' => self::Hour,
        'hour' => self::Hour,
        'hours' => self::Hour,
        'min' => self::Minute,
        'minutes' => self::Minute,
        'd' => self::Day,
        'day' => self::Day,
        'days' => self::Day,
        'wk' => self::Week,
        'week' => self::Week,
        'weeks' => self::Week,
        '%' => self::Percent,
        'percent' => self::Percent,
        '1' => self::Fraction,
        'lm' => self::Lumen,
        'lumen' => self::Lumen,
        'lumens' => self::Lumen,
        'µmol' => self::Micromole,
        'μmol' => self::Micromole,
        'umol' => self::Micromole,
        'par' => self::Micromole,
        'ppfd' => self::Micromole,
        'umol/m2/s' => self::Micromole,
        'µmol/m²/s' => self::Micromole,
        'μmol/m²/s' => self::Micromole,
        'pcs' => self::Piece,
        'piece' => self::Piece,
        'pieces' => self::Piece,
        'ph' => self::PhScale,
        'mg/l' => self::MilligramPerLitre,
        'us/cm' => self::MicrosiemensPerCentimetre,
        'µs/cm' => self::MicrosiemensPerCentimetre,
        'μs/cm' => self::MicrosiemensPerCentimetre,
        'us' => self::MicrosiemensPerCentimetre,
        'µs' => self::MicrosiemensPerCentimetre,
        'μs' => self::MicrosiemensPerCentimetre,
    ];

    private function factor(): float
    {
        return match ($this) {
            self::Centimetre => 0.01,
            self::Millimetre => 0.001,
            self::Inch => self::METRES_PER_INCH,
            self::Foot => 12 * self::METRES_PER_INCH,
            self::SquareCentimetre => 1e-4,
            self::SquareInch => self::METRES_PER_INCH ** 2,
            self::SquareFoot => (12 * self::METRES_PER_INCH) ** 2,
            self::Millilitre => 0.001,
            self::CubicMetre => 1000.0,
            self::UsGallon => self::LITRES_PER_US_GALLON,
            self::ImperialGallon => 4.54609,
            self::UsQuart => self::LITRES_PER_US_GALLON / 4,
            self::UsFluidOunce => self::LITRES_PER_US_GALLON / 128,
            self::CubicFoot => 28.316846592,
            self::CubicInch => 0.016387064,
            self::Kilogram => 1000.0,
            self::Milligram => 0.001,
            self::Pound => self::GRAMS_PER_POUND,
            self::Ounce => self::GRAMS_PER_POUND / 16,
            self::Fahrenheit, self::FahrenheitStep => 5 / 9,
            self::MilligramPerLitreCalciumCarbonate => 1 / MolarMass::CARBONATE_PER_DEGREE,
            self::MilliequivalentPerLitre => 1 / 0.3566,
            self::Minute => 1 / 60,
            self::Day => 24.0,
            self::Week => 168.0,
            self::Percent => 0.01,
            default => 1.0,
        };
    }

    private function offset(): float
    {
        return match ($this) {
            self::Fahrenheit => -160 / 9,
            self::Kelvin => -273.15,
            default => 0.0,
        };
    }
}
