<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;

/** What a column of somebody's table may hold: the day, a note, or a measure in one of its units. */
final readonly class ImportColumn
{
    public const DAY = 'day';
    public const NOTE = 'note';
    /** Behind a measure whose unit nobody has told yet. */
    public const OPEN = ':?';
    /** Words by which the columns of the day and of a note are guessed. */
    private const HEADINGS = [
        'date' => self::DAY,
        'time' => self::DAY,
        'day' => self::DAY,
        'note' => self::NOTE,
        'remark' => self::NOTE,
        'comment' => self::NOTE,
    ];

    /** By what a heading tells the ion or the unit, the surest first. */
    private const TOLD_BY = [
        'N' => '/(no3|no2|nh4|nh3|nitrate|nitrite|ammoni\w+)\W*-\s*n\b|\b(as|of)\s+n\b|\bn\)|mg\s*n\b/',
        'P' => '/po4\W*-\s*p\b|\b(as|of)\s+p\b|\bp\)|mg\s*p\b/',
        'NH4' => '/nh4|nh₄|ammonium/',
        'NH3' => '/nh3|nh₃/',
        'NO2' => '/no2|no₂/',
        'NO3' => '/no3|no₃/',
        'PO4' => '/po4|po₄/',
        'dH' => '/dkh|dgh|°\s*d|\bdh\b|german/',
        'ppmCaCO3' => '/ppm|mg\s*\/\s*l|caco/',
        'meq/l' => '/meq/',
        'cm' => '/\bcm\b/',
        'in' => '/\bin(ch(es)?)?\b/',
        'degC' => '/°\s*c\b|\bc\b|celsius/',
        'degF' => '/°\s*f\b|\bf\b|fahrenheit/',
    ];

    private function __construct(public Measure $measure, public string $kit, public Unit $unit)
    {
    }

    /** @return array<string, string> words by id, of all that a column may hold */
    public static function choices(): array
    {
        $choices = [self::DAY => 'the day', self::NOTE => 'a note'];
        foreach (Measure::ofWater() as $measure) {
            $ways = self::ways($measure);
            if (\count($ways) > 1) {
                $choices[$measure->value.self::OPEN] = $measure->label().': choose the unit';
            }
            foreach ($ways as $way => $words) {
                $choices["$measure->value:$way"] = rtrim($measure->label().', '.$words, ', ');
            }
        }

        return $choices;
    }

    /** By its id; null for the day, a note, and what is none. */
    public static function named(string $id): ?self
    {
        [$name, $in] = [...explode(':', $id, 2), ''];
        $measure = isset(self::choices()[$id]) && !str_ends_with($id, self::OPEN) ? Measure::tryFrom($name) : null;
        if (null === $measure) {
            return null;
        }
        if (!$measure->isElement()) {
            return new self($measure, '', Unit::from($in));
        }

        return new self(
            $measure,
            implode(',', array_map(static fn (Measure $m): string => $m === $measure ? $in : '', Measure::asIons())),
            Unit::MilligramPerLitre,
        );
    }

    /**
     * What a column is likely to hold, by its heading; '' where nobody can tell. Where the heading does not tell the unit, and there are
     * several, none is taken for granted.
     */
    public static function guess(string $heading): string
    {
        $heading = mb_strtolower($heading);
        $words = preg_split('/[^a-z0-9°]+/u', $heading, -1, \PREG_SPLIT_NO_EMPTY);
        foreach (false === $words ? [] : $words as $word) {
            $plain = self::HEADINGS[$word] ?? self::HEADINGS[rtrim($word, 's')] ?? null;
            if (null !== $plain) {
                return $plain;
            }
            $measure = Measure::byWord($word) ?? Measure::byWord(rtrim($word, 's'));
            if (null !== $measure && \in_array($measure, Measure::ofWater(), true)) {
                return $measure->value.self::way($measure, $heading);
            }
        }

        return '';
    }

    /** @return array<int|string, string> words by id, of the ions or units in which a measure may be given */
    public static function ways(Measure $measure): array
    {
        $ways = [];
        foreach ($measure->isElement() ? TestKit::choices($measure) : [] as $ion) {
            $ways[$ion] = 'mg/L as '.TestKit::ionText($ion);
        }
        foreach ($measure->isElement() ? [] : self::units($measure) as $unit) {
            $ways[$unit->value] = $unit->symbol();
        }

        return $ways;
    }

    private static function way(Measure $measure, string $heading): string
    {
        $ways = array_keys(self::ways($measure));
        if (1 === \count($ways)) {
            return ":$ways[0]";
        }
        foreach (self::TOLD_BY as $way => $pattern) {
            if (\in_array($way, $ways, true) && 1 === preg_match($pattern, $heading)) {
                return ":$way";
            }
        }

        return self::OPEN;
    }

    /** @return list<Unit> */
    private static function units(Measure $measure): array
    {
        $units = array_map(static fn (UnitSystem $s): Unit => $s->unitFor($measure->dimension()), UnitSystem::cases());
        if (Dimension::Hardness === $measure->dimension()) {
            $units[] = Unit::MilliequivalentPerLitre;
        }

        return array_values(array_unique($units, \SORT_REGULAR));
    }
}
