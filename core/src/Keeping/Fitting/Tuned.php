<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Fitting;

/** What of the run is learned from a tank's own readings: factors on its parameters. How far each may well be off is J. */
enum Tuned: string
{
    case Soil = 'flushFactor';
    case Bacteria = 'inoculum';
    case NitriteBacteria = 'nitriteInoculum';
    case Plants = 'plantGrowth';

    public function words(): string
    {
        return match ($this) {
            self::Soil => 'what the soil gives off',
            self::Bacteria => 'bacteria at the start',
            self::NitriteBacteria => 'of them, those that take nitrite',
            self::Plants => 'how the plants grow',
        };
    }

    /** Standard deviation of the factor's natural logarithm before anything has been read. */
    public function prior(): float
    {
        return match ($this) {
            // A material's own flush is known to a factor of two or three.
            self::Soil => 0.7,
            self::Bacteria => 0.9,
            self::NitriteBacteria => 0.6,
            self::Plants => 0.35,
        };
    }

    /**
     * Least and most of that logarithm.
     *
     * @return array{float, float}
     */
    public function bounds(): array
    {
        return [-4 * $this->prior(), 4 * $this->prior()];
    }
}
