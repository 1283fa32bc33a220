<?php

declare(strict_types=1);

namespace Olvek\Core\Plant;

use Olvek\Core\Unit\Estimate;

/** A kind of plant as the computation and the drawing know it. */
final readonly class Kind
{
    /**
     * @param Estimate $growth      greatest growth, d⁻¹ at 25 °C
     * @param Estimate $halfLight   PPFD of half growth, µmol m⁻² s⁻¹
     * @param Estimate $rootShare   share of its nitrogen taken from the bed once rooted
     * @param Estimate $densest     g dry per m² at which it stops growing; for floaters, a closed mat
     * @param Estimate $melt        share of air-grown mass lost in the first weeks
     * @param Estimate $dryPerPiece g dry per piece as sold
     * @param Estimate $height      m, grown
     * @param Estimate $spread      cm² of floor or surface per piece, as planted
     * @param string   $piece       what one piece is called ("stem", "plant", "handful")
     */
    public function __construct(
        public string $id,
        public string $scientific,
        public string $common,
        public Role $role,
        public Estimate $growth,
        public Estimate $halfLight,
        public Estimate $rootShare,
        public Estimate $densest,
        public Estimate $melt,
        public bool $bicarbonate,
        public Estimate $dryPerPiece,
        public string $piece,
        public Estimate $height,
        public Estimate $spread,
        public string $remarks,
    ) {
    }
}
