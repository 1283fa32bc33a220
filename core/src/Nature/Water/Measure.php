<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

use Olvek\Core\Basis\Unit\CaseAttribute;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Ion;

/**
 * What can be read of a tank: by a test of its water, by a probe, by a ruler, by counting.
 *
 * Half of the palest step of common drop tests (0.25 mg/L of NH4, 0.25 to 0.5 of NO2, 5 of NO3, 0.1 of PO4, 0.05 of Fe) counts as 0, and
 * half of that is the floor of the logarithm. Neighbouring colours are a factor of 1.5 to 2 apart. C.
 */
enum Measure: string
{
    #[Measured(
        'ammonia', Dimension::Concentration, [0.0, 50.0], 0.35,
        bias: 0.2,
        unit: 'mg/L as N', floor: 0.05, nothingBelow: 0.1, column: 'ammonia', ions: [Ion::Ammonium, Ion::Ammonia],
        element: 'N',
        steps: ['' => [0.0, 0.25, 0.5, 1.0, 2.0, 4.0], 'N' => [0.0, 0.2, 0.4, 0.8, 1.5, 3.0]],
        isUsual: true, aliases: ['nh3', 'nh4', 'ammonium'],
    )]
    case Ammonia = 'ammonia';

    #[Measured(
        'nitrite', Dimension::Concentration, [0.0, 50.0], 0.35,
        bias: 0.2,
        unit: 'mg/L as N', floor: 0.03, nothingBelow: 0.06, column: 'nitrite', ions: [Ion::Nitrite], element: 'N',
        steps: ['' => [0.0, 0.25, 0.5, 1.0, 2.0, 5.0], 'N' => [0.0, 0.05, 0.1, 0.3, 0.6, 1.5]],
        isUsual: true, aliases: ['no2'],
    )]
    case Nitrite = 'nitrite';

    #[Measured(
        'nitrate', Dimension::Concentration, [0.0, 200.0], 0.35,
        bias: 0.2,
        unit: 'mg/L as N', floor: 0.25, nothingBelow: 0.5, column: 'nitrate', ions: [Ion::Nitrate], element: 'N',
        steps: ['' => [0.0, 5.0, 10.0, 20.0, 40.0, 80.0], 'N' => [0.0, 1.0, 2.0, 5.0, 10.0, 20.0]],
        isUsual: true, aliases: ['no3'],
    )]
    case Nitrate = 'nitrate';

    #[Measured(
        'pH', Dimension::Acidity, [3.0, 11.0], 0.3,
        bias: 0.12,
        column: 'pH',
        steps: ['' => [6.0, 6.5, 7.0, 7.5, 8.0, 8.5]],
        isUsual: true,
    )]
    case Acidity = 'ph';

    // Drops of a whole degree, as of GH. C.
    #[Measured(
        'KH', Dimension::Hardness, [0.0, 80.0], 0.8,
        bias: 0.3,
        unit: '°dH', column: 'carbonateHardness',
        steps: self::HARDNESS_STEPS,
        isUsual: true, aliases: ['dkh'],
    )]
    case CarbonateHardness = 'kh';

    #[Measured(
        'GH', Dimension::Hardness, [0.0, 80.0], 0.8,
        bias: 0.3,
        unit: '°dH', column: 'generalHardness',
        steps: self::HARDNESS_STEPS,
        isUsual: true, aliases: ['dgh'],
    )]
    case GeneralHardness = 'gh';

    #[Measured(
        'temperature', Dimension::Temperature, [-2.0, 45.0], 0.7,
        bias: 0.4,
        unit: '°C', column: 'temperature', isUsual: true, aliases: ['temp', '°c'],
    )]
    case Temperature = 'temperature';

    #[Measured(
        'phosphate', Dimension::Concentration, [0.0, 50.0], 0.35,
        bias: 0.2,
        unit: 'mg/L as P', floor: 0.008, nothingBelow: 0.016, column: 'phosphate', ions: [Ion::Phosphate],
        element: 'P',
        steps: ['' => [0.0, 0.1, 0.25, 0.5, 1.0, 2.0], 'P' => [0.0, 0.03, 0.1, 0.2, 0.3, 0.6]],
        aliases: ['po4'],
    )]
    case Phosphate = 'phosphate';

    #[Measured(
        'iron', Dimension::Concentration, [0.0, 20.0], 0.35,
        bias: 0.2,
        unit: 'mg/L', floor: 0.0125, nothingBelow: 0.025, column: 'iron',
        steps: ['' => [0.0, 0.05, 0.1, 0.25, 0.5, 1.0]],
        decimals: 2, aliases: ['fe'],
    )]
    case Iron = 'iron';

    // The hour is known, the colour no better.
    #[Measured(
        'pH before the lamp comes on', Dimension::Acidity, [3.0, 11.0], 0.25,
        bias: 0.12,
        column: 'pHLeast',
        steps: ['' => [6.0, 6.5, 7.0, 7.5, 8.0, 8.5]],
    )]
    case AcidityAtDawn = 'ph-dawn';

    #[Measured(
        'pH as the lamp goes off', Dimension::Acidity, [3.0, 11.0], 0.25,
        bias: 0.12,
        column: 'pHMost',
        steps: ['' => [6.0, 6.5, 7.0, 7.5, 8.0, 8.5]],
    )]
    case AcidityAtDusk = 'ph-dusk';

    #[Measured(
        'conductivity', Dimension::Conductivity, [0.0, 10000.0], 0.05,
        bias: 0.03,
        unit: 'µS/cm', floor: 1.0, column: 'conductivity', decimals: 0, aliases: ['ec'], remark: 'at 25 °C',
    )]
    case Conductivity = 'conductivity';

    #[Measured(
        'water below its line', Dimension::Length, [0.0, 1.0], 0.3,
        unit: 'm', floor: 0.01,
    )]
    case Level = 'level';

    #[Measured(
        'floaters’ cover', Dimension::Share, [0.0, 1.0], 0.12,
        unit: 'share', column: 'cover', decimals: 0, isOfWater: false, remark: 'of the surface',
    )]
    case Cover = 'cover';

    #[Measured(
        'height', Dimension::Length, [0.0, 3.0], 0.25,
        unit: 'm', floor: 0.01, of: 'clump', isOfWater: false,
    )]
    case Height = 'height';

    #[Measured(
        'pieces', Dimension::Count, [0.0, 10000.0], 0.35,
        floor: 1.0, of: 'clump', isOfWater: false,
    )]
    case Pieces = 'pieces';

    #[Measured(
        'animals', Dimension::Count, [0.0, 5000.0], 0.1,
        floor: 1.0, of: 'group', isOfWater: false,
    )]
    case Heads = 'heads';

    #[Measured(
        'males', Dimension::Count, [0.0, 5000.0], 0.1,
        floor: 1.0, of: 'group', isOfWater: false,
    )]
    case Males = 'males';

    #[Measured(
        'females', Dimension::Count, [0.0, 5000.0], 0.1,
        floor: 1.0, of: 'group', isOfWater: false,
    )]
    case Females = 'females';

    #[Measured(
        'young', Dimension::Count, [0.0, 5000.0], 0.1,
        floor: 1.0, of: 'group', isOfWater: false,
    )]
    case Young = 'young';

    /** Of common kits, in °dH and in mg/L of CaCO3. C. */
    private const HARDNESS_STEPS = ['dH' => [2.0, 4.0, 6.0, 8.0, 12.0, 16.0], '' => [40.0, 80.0, 120.0, 160.0, 220.0, 300.0]];

    public function measured(): Measured
    {
        return CaseAttribute::of($this, Measured::class) ?? throw new \LogicException("$this->value is not described");
    }

    public function label(): string
    {
        return $this->measured()->label;
    }

    public function dimension(): Dimension
    {
        return $this->measured()->dimension;
    }

    /**
     * @param \Closure(Measured): bool $holds
     *
     * @return list<self> those of which this is so, in their order
     */
    private static function where(\Closure $holds): array
    {
        return array_values(array_filter(self::cases(), static fn (self $measure): bool => $holds($measure->measured())));
    }

    /** @return list<self> what is read of the water, the usual first */
    public static function ofWater(): array
    {
        return self::where(static fn (Measured $m): bool => $m->isOfWater);
    }

    /** @return list<self> what is read of the tank as a whole, and not of a clump or a group */
    public static function ofTank(): array
    {
        return self::where(static fn (Measured $m): bool => null === $m->of);
    }

    /** @return list<self> what kits count as an ion or as its element */
    public static function asIons(): array
    {
        return self::where(static fn (Measured $m): bool => [] !== $m->ions);
    }

    /** @return list<self> what is counted of a group of animals */
    public static function ofGroups(): array
    {
        return self::where(static fn (Measured $m): bool => 'group' === $m->of);
    }

    /** The one that is held against this column of a run; null for none. */
    public static function ofColumn(string $column): ?self
    {
        return self::where(static fn (Measured $m): bool => $column === $m->column)[0] ?? null;
    }

    /** The one whose own name or other word this is; null for none. */
    public static function byWord(string $word): ?self
    {
        return self::tryFrom($word) ?? self::where(static fn (Measured $m): bool => \in_array($word, $m->aliases, true))[0] ?? null;
    }

    /** True where it is counted as mg N/L whatever the kit says. */
    public function isNitrogen(): bool
    {
        return 'N' === $this->measured()->element;
    }

    /** True where it is counted as mg/L of an element, N or P, whatever the kit says. */
    public function isElement(): bool
    {
        return '' !== $this->measured()->element;
    }

    /** True where it is read on the pH scale, at whatever hour. */
    public function isAcidity(): bool
    {
        return Dimension::Acidity === $this->dimension();
    }

    /** Whether parts of one are no reading. */
    public function isWhole(): bool
    {
        return Dimension::Count === $this->dimension();
    }

    /** Base value below which a reading counts as 0; 0 for what has no palest step. */
    public function nothingBelow(): float
    {
        return $this->measured()->nothingBelow;
    }

    /** @return array{float, float} least and most on its base scale that can be a reading at all */
    public function bounds(): array
    {
        return $this->measured()->bounds;
    }
}
