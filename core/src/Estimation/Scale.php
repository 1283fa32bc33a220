<?php

declare(strict_types=1);

namespace Olvek\Core\Estimation;

use Olvek\Core\Water\Measure;

/**
 * The scale on which readings are held against a run, and by how much one may well be off on it: what a test errs, what one spot at one
 * hour errs, and what the run itself cannot know. All J where nothing else is said.
 */
final readonly class Scale
{
    /**
     * @param float|null $floor added before the logarithm is taken; null where differences count, not ratios
     * @param float      $noise standard deviation on this scale
     */
    private function __construct(private ?float $floor, public float $noise)
    {
    }

    public static function of(Measure $measure): self
    {
        return match ($measure) {
            // Neighbouring colours of a drop test are a factor of 1.5 to 2 apart. C.
            Measure::Ammonia, Measure::Nitrite, Measure::Nitrate, Measure::Phosphate, Measure::Iron => new self(
                $measure->nothingBelow() / 2,
                0.35,
            ),
            Measure::Acidity => new self(null, 0.3),
            // The hour is known, the colour no better.
            Measure::AcidityAtDawn, Measure::AcidityAtDusk => new self(null, 0.25),
            // Drops of a whole degree. C.
            Measure::CarbonateHardness, Measure::GeneralHardness => new self(null, 0.8),
            Measure::Conductivity => new self(1.0, 0.12),
            Measure::Temperature => new self(null, 0.7),
            Measure::Level => new self(0.01, 0.3),
            Measure::Cover => new self(null, 0.12),
            Measure::Height => new self(0.01, 0.25),
            Measure::Pieces => new self(1.0, 0.35),
            Measure::Heads, Measure::Males, Measure::Females, Measure::Young => new self(1.0, 0.1),
        };
    }

    public function from(float $base): float
    {
        return null === $this->floor ? $base : log(max(0.0, $base) + $this->floor);
    }

    public function base(float $scaled): float
    {
        return null === $this->floor ? $scaled : max(0.0, exp($scaled) - $this->floor);
    }
}
