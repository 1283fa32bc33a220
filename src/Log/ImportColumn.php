<?php

declare(strict_types=1);

namespace Olvek\Log;

use Olvek\Core\Log\TestKit;
use Olvek\Core\Unit\Unit;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Water\Measure;

/** What a column of somebody's table may hold: the day, a note, or a measure in one of its units. */
final readonly class ImportColumn
{
    public const DAY = 'day';
    public const NOTE = 'note';
    /** Words by which columns are guessed, for measures whose own name is not the usual one on a table. */
    private const OTHERWISE = [
        'nh3' => 'ammonia',
        'nh4' => 'ammonia',
        'ammonium' => 'ammonia',
        'no2' => 'nitrite',
        'no3' => 'nitrate',
        'po4' => 'phosphate',
        'fe' => 'iron',
        'temp' => 'temperature',
        '°c' => 'temperature',
        'ec' => 'conductivity',
        'tds' => '',
        'dkh' => 'kh',
        'dgh' => 'gh',
        'date' => self::DAY,
        'time' => self::DAY,
        'day' => self::DAY,
        'note' => self::NOTE,
        'remark' => self::NOTE,
        'comment' => self::NOTE,
    ];

    private function __construct(public Measure $measure, public string $kit, public Unit $unit)
    {
    }

    /** @return array<string, string> words by id, of all that a column may hold */
    public static function choices(): array
    {
        $choices = [self::DAY => 'the day', self::NOTE => 'a note'];
        foreach (Measure::ofWater() as $measure) {
            foreach ($measure->isElement() ? TestKit::choices($measure) : [] as $ion) {
                $choices["$measure->value:$ion"] = $measure->label().', mg/L as '.TestKit::ionText($ion);
            }
            foreach ($measure->isElement() ? [] : self::units($measure) as $unit) {
                $choices["$measure->value:$unit->value"] = rtrim($measure->label().', '.$unit->symbol(), ', ');
            }
        }

        return $choices;
    }

    /** By its id; null for the day, a note, and what is none. */
    public static function named(string $id): ?self
    {
        [$name, $in] = [...explode(':', $id, 2), ''];
        $measure = isset(self::choices()[$id]) ? Measure::tryFrom($name) : null;
        if (null === $measure) {
            return null;
        }
        if (!$measure->isElement()) {
            return new self($measure, '', Unit::from($in));
        }
        $counted = [Measure::Ammonia, Measure::Nitrite, Measure::Nitrate, Measure::Phosphate];

        return new self(
            $measure,
            implode(',', array_map(static fn (Measure $m): string => $m === $measure ? $in : '', $counted)),
            Unit::MilligramPerLitre,
        );
    }

    /** What a column is likely to hold, by its heading; '' where nobody can tell. */
    public static function guess(string $heading, TestKit $kit, UnitSystem $units): string
    {
        $words = preg_split('/[^a-z0-9°]+/', mb_strtolower($heading), -1, \PREG_SPLIT_NO_EMPTY);
        foreach (false === $words ? [] : $words as $word) {
            $word = self::OTHERWISE[$word] ?? self::OTHERWISE[rtrim($word, 's')] ?? $word;
            $measure = Measure::tryFrom($word);
            if (self::DAY === $word || self::NOTE === $word) {
                return $word;
            }
            if (null !== $measure && \in_array($measure, Measure::ofWater(), true)) {
                return "$measure->value:".($measure->isElement() ? $kit->counts($measure) : $units->unitFor($measure->dimension())->value);
            }
        }

        return '';
    }

    /** @return list<Unit> */
    private static function units(Measure $measure): array
    {
        $units = array_map(static fn (UnitSystem $s): Unit => $s->unitFor($measure->dimension()), UnitSystem::cases());
        if (\in_array($measure, [Measure::CarbonateHardness, Measure::GeneralHardness], true)) {
            $units[] = Unit::MilliequivalentPerLitre;
        }

        return array_values(array_unique($units, \SORT_REGULAR));
    }
}
