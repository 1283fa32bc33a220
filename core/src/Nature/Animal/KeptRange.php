<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

use Olvek\Core\Basis\Unit\Estimate;

/**
 * Water in which a kind is kept for years and lives its life, beside the narrower one in which it thrives. Outside of the narrower range is
 * worth knowing, outside of this one is harm. J throughout: kept ranges are wider than native ones, those of soft-water specialists least;
 * upwards of pH 9 water begins to harm fish of any kind (M: EIFAC 1969, Water quality criteria for European freshwater fish).
 */
final readonly class KeptRange
{
    /**
     * @param Estimate $coolest    °C
     * @param Estimate $warmest    °C
     * @param Estimate $acidest    lowest pH
     * @param Estimate $alkalinest highest pH
     * @param Estimate $softest    lowest general hardness, °dH
     * @param Estimate $hardest    highest general hardness, °dH
     */
    public function __construct(
        public Estimate $coolest,
        public Estimate $warmest,
        public Estimate $acidest,
        public Estimate $alkalinest,
        public Estimate $softest,
        public Estimate $hardest,
    ) {
    }
}
