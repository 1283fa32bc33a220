<?php

declare(strict_types=1);

namespace Olvek\Core\Water;

use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\Ion;

/** What can be read of a tank: by a test of its water, by a probe, by a ruler, by counting. */
enum Measure: string
{
    case Ammonia = 'ammonia';
    case Nitrite = 'nitrite';
    case Nitrate = 'nitrate';
    case Acidity = 'ph';
    case CarbonateHardness = 'kh';
    case GeneralHardness = 'gh';
    case Temperature = 'temperature';
    case Phosphate = 'phosphate';
    case Iron = 'iron';
    case AcidityAtDawn = 'ph-dawn';
    case AcidityAtDusk = 'ph-dusk';
    case Conductivity = 'conductivity';
    /** How far the water stands below its line. */
    case Level = 'level';
    case Cover = 'cover';
    case Height = 'height';
    case Pieces = 'pieces';
    case Heads = 'heads';
    case Males = 'males';
    case Females = 'females';
    case Young = 'young';

    public function label(): string
    {
        return match ($this) {
            self::Acidity => 'pH',
            self::AcidityAtDawn => 'pH before the lamp comes on',
            self::AcidityAtDusk => 'pH as the lamp goes off',
            self::CarbonateHardness => 'KH',
            self::GeneralHardness => 'GH',
            self::Level => 'water below its line',
            self::Cover => 'floaters’ cover',
            self::Heads => 'animals',
            default => $this->value,
        };
    }

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Acidity, self::AcidityAtDawn, self::AcidityAtDusk => Dimension::Acidity,
            self::CarbonateHardness, self::GeneralHardness => Dimension::Hardness,
            self::Temperature => Dimension::Temperature,
            self::Conductivity => Dimension::Conductivity,
            self::Level, self::Height => Dimension::Length,
            self::Cover => Dimension::Share,
            self::Pieces, self::Heads, self::Males, self::Females, self::Young => Dimension::Count,
            default => Dimension::Concentration,
        };
    }

    /** In what its base scale counts, as tables say it; '' for plain numbers. */
    public function baseUnit(): string
    {
        return match ($this) {
            self::Ammonia, self::Nitrite, self::Nitrate => 'mg/L as N',
            self::Phosphate => 'mg/L as P',
            self::Iron => 'mg/L',
            self::CarbonateHardness, self::GeneralHardness => '°dH',
            self::Temperature => '°C',
            self::Conductivity => 'µS/cm',
            self::Level, self::Height => 'm',
            self::Cover => 'share',
            default => '',
        };
    }

    /** Whom it is read of: "clump", "group", or null where the whole tank. */
    public function of(): ?string
    {
        return match ($this) {
            self::Height, self::Pieces => 'clump',
            self::Heads, self::Males, self::Females, self::Young => 'group',
            default => null,
        };
    }

    /** @return list<self> what is read of the water, the usual first */
    public static function ofWater(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $m): bool => null === $m->of() && self::Cover !== $m));
    }

    /** @return list<Ion> that kits report it as, the usual first; none where there is nothing to choose */
    public function ions(): array
    {
        return match ($this) {
            self::Ammonia => [Ion::Ammonium, Ion::Ammonia],
            self::Nitrite => [Ion::Nitrite],
            self::Nitrate => [Ion::Nitrate],
            self::Phosphate => [Ion::Phosphate],
            default => [],
        };
    }

    /** True where it is counted as mg N/L whatever the kit says. */
    public function isNitrogen(): bool
    {
        return $this->isElement() && self::Phosphate !== $this;
    }

    /** True where it is counted as mg/L of an element, N or P, whatever the kit says. */
    public function isElement(): bool
    {
        return [] !== $this->ions();
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

    /**
     * Base value below which a reading counts as 0: half of the palest step of common drop tests (0.25 mg/L of NH4, 0.25 to 0.5 of NO2, 5
     * of NO3, 0.1 of PO4, 0.05 of Fe). C. For what has no such step, 0.
     */
    public function nothingBelow(): float
    {
        return match ($this) {
            self::Ammonia => 0.1,
            self::Nitrite => 0.06,
            self::Nitrate => 0.5,
            self::Phosphate => 0.016,
            self::Iron => 0.025,
            default => 0.0,
        };
    }

    /**
     * Least and most on its base scale that can be a reading at all. J: beyond them a digit was slipped.
     *
     * @return array{float, float}
     */
    public function bounds(): array
    {
        return match ($this) {
            self::Ammonia, self::Nitrite => [0.0, 50.0],
            self::Nitrate => [0.0, 200.0],
            self::Phosphate => [0.0, 50.0],
            self::Acidity, self::AcidityAtDawn, self::AcidityAtDusk => [3.0, 11.0],
            self::CarbonateHardness, self::GeneralHardness => [0.0, 80.0],
            self::Iron => [0.0, 20.0],
            self::Temperature => [-2.0, 45.0],
            self::Conductivity => [0.0, 10000.0],
            self::Level => [0.0, 1.0],
            self::Cover => [0.0, 1.0],
            self::Height => [0.0, 3.0],
            self::Pieces => [0.0, 10000.0],
            self::Heads, self::Males, self::Females, self::Young => [0.0, 5000.0],
        };
    }
}
