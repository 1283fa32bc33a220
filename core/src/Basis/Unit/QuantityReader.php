<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/**
 * Reads quantities as keepers type them: "2.5 cm", "2,5cm", "1 in", "1 1/2″", "1½ in", "2 ft 6 in", "8:30" (of hours), "20 gal", "78 °F",
 * "8"; digits of any script.
 *
 * A bare number is taken in the unit that the field shows. Results are on the dimension's base scale. A number that may be grouped
 * ("1,500") is asked about, not guessed.
 */
final class QuantityReader
{
    private const NUMBER = '(?<sign>[+\-−]?)\s*(?:(?<whole>\d{1,12})\s+)?(?:(?<over>\d{1,9})\s*[\/⁄]\s*(?<under>\d{1,9})'
        .'|(?<decimal>(?:\d{1,15}(?:[.,]\d{0,15})?|[.,]\d{1,15})(?:[eE][+\-]?\d{1,3})?))';

    /** @throws UnreadableQuantity when the text is no number or carries a unit of another dimension */
    public static function read(string $typed, Unit $bare): float
    {
        $text = self::plain($typed);
        if ('' === $text) {
            throw UnreadableQuantity::empty($bare);
        }
        self::askAboutGroups($text);
        if (Dimension::Duration === $bare->dimension() && 1 === preg_match('/^(\d{1,2}):([0-5]\d)$/D', $text, $match)) {
            return Unit::Hour->toBase((int) $match[1] + (int) $match[2] / 60);
        }
        $both = self::compound($text, $bare);
        if (null !== $both) {
            return $both;
        }
        if (
            mb_strlen($text) > 60
            || 1 !== preg_match('/^'.self::NUMBER.'\s*(?<unit>[^\d.,:].*)?$/u', $text, $match, \PREG_UNMATCHED_AS_NULL)
        ) {
            throw UnreadableQuantity::notANumber($text, $bare);
        }
        $value = self::number($match, $text, $bare);
        $name = trim($match['unit'] ?? '');
        if ('' === $name) {
            return $bare->toBase($value);
        }
        $unit = Unit::named($name);
        if (Dimension::Concentration === $bare->dimension() && 'ppm' === mb_strtolower($name)) {
            // Of what is dissolved; of hardness it is counted as CaCO3.
            $unit = Unit::MilligramPerLitre;
        }
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

    /** The unit that a text ends in; null where it has none that is known. */
    public static function unitOf(string $typed): ?Unit
    {
        return 1 === preg_match('/^'.self::NUMBER.'\s*(?<unit>[^\d.,:].*)$/u', self::plain($typed), $match)
            ? Unit::named(trim($match['unit']))
            : null;
    }

    /** A time of day, as hours: "2 pm", "2:30 pm", "14:30"; null where the text is none of these. */
    public static function clock(string $typed): ?float
    {
        if (
            1 !== preg_match('/^(\d{1,2})(?::([0-5]\d))?\s*([ap])?\.?\s*(?:m\.?)?$/iD', trim($typed), $match)
            || ('' === ($match[2] ?? '') && '' === ($match[3] ?? ''))
        ) {
            return null;
        }
        $hour = (int) $match[1];
        $half = strtolower($match[3] ?? '');
        if ($hour > ('' === $half ? 24 : 12) || ('' !== $half && 0 === $hour)) {
            return null;
        }
        $hour = match ($half) {
            'a' => $hour % 12,
            'p' => ($hour % 12) + 12,
            default => $hour,
        };

        return $hour + (int) ($match[2] ?? 0) / 60;
    }

    /** The text with digits, decimal signs and fractions of any script as those that are reckoned with: "٨٫٥" is "8.5", "1½" is "1 1/2". */
    private static function plain(string $typed): string
    {
        $text = str_replace(["\u{00A0}", '٫', '．'], [' ', '.', '.'], $typed);
        $text = preg_replace_callback('/(\d)?([¼-¾⅐-⅞])/u', static function (array $match): string {
            // U+2044, the fraction slash, is what such a character is made of by its definition (Unicode, compatibility decomposition).
            $fraction = \Normalizer::normalize($match[2], \Normalizer::FORM_KC);
            $fraction = \is_string($fraction) ? str_replace('⁄', '/', $fraction) : $match[2];

            return '' === $match[1] ? $fraction : $match[1].' '.$fraction;
        }, $text) ?? $text;

        return trim(preg_replace_callback('/\p{Nd}/u', self::digit(...), $text) ?? $text);
    }

    /** @param array<string> $match a decimal digit of any script */
    private static function digit(array $match): string
    {
        return (string) \IntlChar::charDigitValue($match[0]);
    }

    /** @throws UnreadableQuantity where digits are grouped, or may be */
    private static function askAboutGroups(string $text): void
    {
        if (
            1 ===
            preg_match(
                '/^[+\-−]?([1-9]\d{0,2}(?:,\d{3})+|[1-9]\d{0,2}(?:\.\d{3}){2,}|[1-9]\d{0,2}(?:[ '
                    .'’\x{202F}]\d{3})+|\d[\d.,]*[.,]\d{3}[.,]\d+)(?![\d.,\/⁄])/u',
                $text,
                $match,
            )
        ) {
            throw UnreadableQuantity::grouped($match[1]);
        }
    }

    /** Two quantities as one, the smaller behind the larger: "2 ft 6 in", "1 lb 4 oz", "1 h 30 min"; null where it is none. */
    private static function compound(string $text, Unit $bare): ?float
    {
        if (
            1 !==
            preg_match(
                '/^(\d{1,6})\s*(ft|foot|feet|\'|′|’|lbs?|pounds?|h|hrs?|hours?|d|days?|m|kg)\s*(?:and|,)?\s*(\d.*)$/iuD',
                $text,
                $match,
            )
        ) {
            return null;
        }
        $large = Unit::named($match[2]);
        $small = match ($large) {
            Unit::Foot => Unit::Inch,
            Unit::Pound => Unit::Ounce,
            Unit::Hour => Unit::Minute,
            Unit::Day => Unit::Hour,
            Unit::Metre => Unit::Centimetre,
            Unit::Kilogram => Unit::Gram,
            default => null,
        };
        if (null === $large || null === $small || $large->dimension() !== $bare->dimension()) {
            return null;
        }
        $rest = self::read($match[3], $small);

        return $rest < $large->toBase(1.0) ? $large->toBase((float) $match[1]) + $rest : throw UnreadableQuantity::notANumber($text, $bare);
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
