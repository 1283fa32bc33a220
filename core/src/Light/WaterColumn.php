<?php

declare(strict_types=1);

namespace Olvek\Core\Light;

/** Light lost on its way down through clear water. */
final class WaterColumn
{
    /** m⁻¹, clear tank water, photosynthetic band. M: Kirk (2011), Light and Photosynthesis in Aquatic Ecosystems (0.2–1.0). */
    public const ATTENUATION = 0.5;

    /** Share of the light that is left at a depth in m (Beer–Lambert). */
    public static function transmission(float $depth): float
    {
        return exp(-self::ATTENUATION * max(0.0, $depth));
    }
}
