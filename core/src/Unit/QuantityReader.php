<?php

declare(strict_types=1);

namespace Olvek\Core\Unit;

/**
 * Reads quantities as keepers type them: "2.5 cm", "2,5cm", "1 in", "1 1/2″", "20 gal", "78 °F", "8".
 *
 * A bare number is taken in the unit that the field shows. Results are on the dimension's base scale.
 */
final class QuantityReader
{
    private const NUMBER = '(?<sign>[+\-−]?)\s*(?:(?<whole>\d{1,12})\s+)?(?:(?<over>\d{1,9})\s*[\/⁄]\s*(?<under>\d{1,9})|(?<decimal>(?:\d{1,15}(?:[.,]\d{0,15})?|[.,]\d{1,15})(?:[eE][+\-]?\d{1,3})?))';

    /** @throws UnreadableQuantity when the text is no number or carries a unit of another dimension */
    public static function read(string $typed, Unit $bare): float
    {
        $text = trim(str_replace("\u{00A0}", ' ', $typed));
        if ('' === $text) {
            throw UnreadableQuantity::empty($bare);
        }
        if (mb_strlen($text) > 60 || 1 !== preg_match('/^'.self::NUMBER.'\s*(?<unit>\D.*)?$/u', $text, $match, \PREG_UNMATCHED_AS_NULL)) {
            throw UnreadableQuantity::notANumber($text, $bare);
        }
        $value = self::number($match, $text, $bare);
        $name = trim($match['unit'] ?? '');
        if ('' === $name) {
            return $bare->toBase($value);
        }
        $unit = Unit::named($name);
        if (Dimension::TemperatureDifference === $bare->dimension()) {
            // "4 °C" warmer is a step, not a reading.
            $unit = match ($unit) {
                Unit::Celsius, Unit::Kelvin => Unit::CelsiusStep,
                Unit::Fahrenheit => Unit::FahrenheitStep,
                default => $unit,
            };
        }
        if (null === $unit || $unit->dimension() !== $bare->dimension()) {
            throw UnreadableQuantity::unknownUnit($name, $bare);
        }

        return $unit->toBase($value);
    }

    /** @param array<int|string, string|null> $match */
    private static function number(array $match, string $text, Unit $bare): float
    {
        $value = isset($match['decimal']) ? (float) str_replace(',', '.', $match['decimal']) : 0.0;
        if (isset($match['over'], $match['under'])) {
            if (0 === (int) $match['under']) {
                throw UnreadableQuantity::notANumber($text, $bare);
            }
            $value = (int) $match['over'] / (int) $match['under'];
        }
        if (isset($match['whole'])) {
            if (isset($match['decimal'])) {
                throw UnreadableQuantity::notANumber($text, $bare);
            }
            $value += (int) $match['whole'];
        }
        if (!is_finite($value)) {
            throw UnreadableQuantity::notANumber($text, $bare);
        }

        return \in_array($match['sign'], ['-', '−'], true) ? -$value : $value;
    }
}
