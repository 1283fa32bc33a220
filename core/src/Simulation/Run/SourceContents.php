<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Water\SourceWater;

/**
 * What a litre of a source water brings along, computed once.
 *
 * @internal
 */
final readonly class SourceContents
{
    /**
     * @param float $nitrate    mg N/L
     * @param float $carbon     mg C/L
     * @param float $alkalinity meq/L
     * @param float $hardness   °dH
     * @param float $minerals   share of an ordinary tap water's potassium, iron and silicate that it holds
     * @param float $phosphorus mg P/L
     * @param float $sodium     mg/L
     * @param float $calcium    °dH of its hardness that is calcium
     * @param float $chloride   mg/L
     * @param float $sulphate   mg S/L
     */
    private function __construct(
        public float $nitrate,
        public float $carbon,
        public float $alkalinity,
        public float $hardness,
        public float $minerals,
        public float $phosphorus,
        public float $sodium,
        public float $calcium,
        public float $chloride,
        public float $sulphate,
    ) {
    }

    public static function of(SourceWater $water, float $celsius): self
    {
        // Water that holds next to no hardness (rain, reverse osmosis) holds next to nothing else. J: full from 3 °dH.
        $minerals = min(1.0, $water->gh / 3);

        return new self(
            $water->nitrate,
            RunConstants::carbon($water, $celsius),
            RunConstants::alkalinity($water),
            $water->gh,
            $minerals,
            $water->phosphate > 0 ? $water->phosphate : $minerals * State::SOURCE_PHOSPHORUS,
            $water->sodium,
            $water->calcium * $water->gh,
            $water->chloride,
            $water->sulphate,
        );
    }
}
