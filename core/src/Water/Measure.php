<?php

declare(strict_types=1);

namespace Olvek\Core\Water;

use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\Ion;

/** What a test of the water tells. */
enum Measure: string
{
    case Ammonia = 'ammonia';
    case Nitrite = 'nitrite';
    case Nitrate = 'nitrate';
    case Acidity = 'ph';
    case CarbonateHardness = 'kh';
    case GeneralHardness = 'gh';
    case Iron = 'iron';
    case Temperature = 'temperature';

    public function label(): string
    {
        return match ($this) {
            self::Acidity => 'pH',
            self::CarbonateHardness => 'KH',
            self::GeneralHardness => 'GH',
            default => $this->value,
        };
    }

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Acidity => Dimension::Acidity,
            self::CarbonateHardness, self::GeneralHardness => Dimension::Hardness,
            self::Temperature => Dimension::Temperature,
            default => Dimension::Concentration,
        };
    }

    /** @return list<Ion> that kits report it as, the usual first; none where there is nothing to choose */
    public function ions(): array
    {
        return match ($this) {
            self::Ammonia => [Ion::Ammonium, Ion::Ammonia],
            self::Nitrite => [Ion::Nitrite],
            self::Nitrate => [Ion::Nitrate],
            default => [],
        };
    }

    /** True where it is counted as mg N/L whatever the kit says. */
    public function isNitrogen(): bool
    {
        return [] !== $this->ions();
    }

    /**
     * mg N/L below which a reading counts as 0: half of the palest step of common drop tests (0.25 mg/L of NH4, 0.25 to 0.5 of NO2, 5 of
     * NO3). C.
     * For what has no such step, 0.
     */
    public function nothingBelow(): float
    {
        return match ($this) {
            self::Ammonia => 0.1,
            self::Nitrite => 0.06,
            self::Nitrate => 0.5,
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
            self::Acidity => [3.0, 11.0],
            self::CarbonateHardness, self::GeneralHardness => [0.0, 80.0],
            self::Iron => [0.0, 20.0],
            self::Temperature => [-2.0, 45.0],
        };
    }
}
