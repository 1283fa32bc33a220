<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

/** Light lost on its way down through clear water. */
final class WaterColumn
{
    /**
     * m⁻¹, clear tank water, photosynthetic band. M: Kirk (2011), Light and Photosynthesis in Aquatic Ecosystems (0.15–0.6; 0.5 is a pond).
     */
    public const ATTENUATION = 0.3;

    /** m⁻¹ per mg C/L of tannin. M: Kirk (2011) (0.05–0.3 over the photosynthetic band). */
    public const TANNIN = 0.12;
    /** m⁻¹ per mg dry/L of green water. M: some 0.015 m² per mg of chlorophyll, of which algae hold 1 %. */
    public const GREEN = 0.15;

    /** Share of the light that is left at a depth in m (Beer–Lambert). */
    public static function transmission(float $depth, float $attenuation = self::ATTENUATION): float
    {
        return $depth > 0.0 ? exp(-$attenuation * $depth) : 1.0;
    }
}
