<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Unit\Estimate;

/** Something mixed into or pressed under the soil for what it gives off. */
final readonly class Amendment
{
    /**
     * @param Estimate $nitrogen   mg N per g, soluble
     * @param Estimate $phosphorus mg P per g
     * @param Estimate $potassium  mg K per g
     * @param Estimate $iron       mg Fe per g
     * @param Estimate $lime       g of calcite per g, dissolving as the water asks for it
     * @param Estimate $limeSpeed  how fast that lime dissolves beside calcite
     * @param Estimate $hardness   °dH · L per g, dissolving at once
     * @param Estimate $alkalinity meq per g, dissolving at once
     * @param Estimate $calcium    share of that hardness that is calcium
     * @param Estimate $sulphur    mg S of sulphate per g, dissolving at once
     * @param Estimate $dose       usual g per L of soil
     * @param Estimate $unitGrams  g of one piece, where it comes in pieces
     */
    public function __construct(
        public string $id,
        public string $name,
        public Estimate $nitrogen,
        public Estimate $phosphorus,
        public Estimate $potassium,
        public Estimate $iron,
        public Estimate $lime,
        public Estimate $limeSpeed,
        public Estimate $hardness,
        public Estimate $alkalinity,
        public Estimate $calcium,
        public Estimate $sulphur,
        public Estimate $dose,
        public Estimate $unitGrams,
        public string $remarks,
    ) {
    }
}
