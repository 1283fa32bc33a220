<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

use Olvek\Core\Basis\Unit\Estimate;

/** A kind of lamp: what of its power becomes light on the water. */
final readonly class LampKind
{
    /**
     * @param Estimate $lumensPerWatt     lm per W
     * @param Estimate $lumensPerMicromole lm per µmol s⁻¹
     * @param Estimate $landing           share of the light that lands on the water
     */
    public function __construct(
        public string $id,
        public string $name,
        public Estimate $lumensPerWatt,
        public Estimate $lumensPerMicromole,
        public Estimate $landing,
        public string $remarks,
    ) {
    }
}
