<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

/**
 * What water holds of its carbon, and how it answers to more while alkalinity stays. One is filled again and again: an array each time is
 * dear.
 */
final class CarbonResponse
{
    /** mg CO2/L, and by how much of it a mg C/L moves it. */
    public float $carbonDioxide = 0.0;
    public float $slope = 0.0;
    /** mol/L of [H⁺] by which a mg C/L moves it. */
    public float $hydrogenSlope = 0.0;
    /** mmol/L. */
    public float $bicarbonate = 0.0;
}
