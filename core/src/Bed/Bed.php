<?php

declare(strict_types=1);

namespace Olvek\Core\Bed;

use Olvek\Core\Vessel\Vessel;

/** Soil under its cap; either may be missing (null). */
final readonly class Bed
{
    /** m above its lowest point at which a round bottom counts as floor. J. */
    private const LOWEST_FLOOR = 0.02;

    /** @param list<Dose> $doses what is mixed into or laid under the soil */
    public function __construct(public ?Layer $soil, public ?Layer $cap, public array $doses = [])
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

    /** m² of its upper face; without a bed, of the vessel's bottom, which where it is round is reckoned a little above its lowest point. */
    public function face(Vessel $vessel): float
    {
        return max($vessel->areaAt(min($this->meanDepth(), $vessel->height())), $vessel->areaAt(min(self::LOWEST_FLOOR, $vessel->height() / 2)));
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
