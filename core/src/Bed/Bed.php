<?php

declare(strict_types=1);

namespace Olvek\Core\Bed;

use Olvek\Core\Vessel\Vessel;

/** Soil under its cap; either may be missing (null). */
final readonly class Bed
{
    public function __construct(public ?Layer $soil, public ?Layer $cap)
    {
    }

    /** Thickness at a pane, m. */
    public function depth(Side $side): float
    {
        return ($this->soil?->depth($side) ?? 0.0) + ($this->cap?->depth($side) ?? 0.0);
    }

    public function meanDepth(): float
    {
        return ($this->depth(Side::Front) + $this->depth(Side::Back)) / 2;
    }

    /** Litres of the whole bed as laid. */
    public function volume(Vessel $vessel): float
    {
        return $vessel->volumeUnderSlope($this->depth(Side::Front), $this->depth(Side::Back));
    }

    /** Litres of soil as laid. */
    public function soilVolume(Vessel $vessel): float
    {
        return null === $this->soil ? 0.0 : $vessel->volumeUnderSlope($this->soil->front, $this->soil->back);
    }

    /** Litres of cap as laid: what lies above the soil. */
    public function capVolume(Vessel $vessel): float
    {
        return $this->volume($vessel) - $this->soilVolume($vessel);
    }
}
