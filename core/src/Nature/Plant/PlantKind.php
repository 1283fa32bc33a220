<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

use Olvek\Core\Basis\Unit\Estimate;

/** A kind of plant as the computation and the drawing know it. */
final readonly class PlantKind
{
    /**
     * @param string   $synonyms    other names that it is sold or written under, parted by semicolons
     * @param Estimate $growth      greatest growth, d⁻¹ at 25 °C
     * @param Estimate $halfLight   PPFD of half growth, µmol m⁻² s⁻¹
     * @param Estimate $rootShare   share of its nitrogen taken from the bed once rooted
     * @param Estimate $densest     g dry per m² at which it stops growing; of house plants g dry a piece
     * @param Estimate $mat         g dry per m² of a closed mat; 0 for what does not lie on the water
     * @param Estimate $melt        share of air-grown mass lost in the first weeks
     * @param Estimate $bicarbonate how far (0–1) it can live on bicarbonate
     * @param Estimate $dryPerPiece g dry per piece as sold
     * @param Estimate $height      m, grown
     * @param Estimate $spread      cm² of floor or surface per piece, as planted
     * @param Estimate $planting    m that stems or roots go into the bed; 0 for what must not be buried
     * @param Estimate $coolest     °C
     * @param Estimate $warmest     °C
     * @param Estimate $softest     lowest general hardness, °dH
     * @param Estimate $hardest     highest general hardness, °dH
     * @param bool     $sensitive   better not planted on day one
     * @param bool     $tender      eaten by plant-eaters first
     * @param Estimate $wetRatio    g wet per g dry
     * @param string   $piece       what one piece is called ("stem", "plant", "handful")
     */
    public function __construct(
        public string $id,
        public string $scientific,
        public string $common,
        public string $synonyms,
        public PlantRole $role,
        public Estimate $growth,
        public Estimate $halfLight,
        public Estimate $rootShare,
        public Estimate $densest,
        public Estimate $mat,
        public Estimate $melt,
        public Estimate $bicarbonate,
        public Estimate $dryPerPiece,
        public string $piece,
        public Estimate $height,
        public Estimate $spread,
        public Zone $zone,
        public Estimate $planting,
        public Estimate $coolest,
        public Estimate $warmest,
        public Estimate $softest,
        public Estimate $hardest,
        public Removal $removal,
        public bool $sensitive,
        public bool $invasive,
        public bool $tender,
        public Estimate $wetRatio,
        public PlantLook $look,
        public string $remarks,
    ) {
    }

    /** Its names as a list shows them: the common one, the accepted one and others that it is sold or written under. */
    public function names(): string
    {
        return \sprintf('%s (%s)', $this->common, '' === $this->synonyms ? $this->scientific : "$this->scientific; $this->synonyms");
    }

    /** @return list<string> what to mind before planting, each a sentence */
    public function cautions(): array
    {
        return array_keys(
            array_filter([
                'Not on the first day: plant it once the tank has settled.' => $this->sensitive,
                'Plant-eaters take it first.' => $this->tender,
                'Settles in the wild: check what your country allows.' => $this->invasive,
            ]),
        );
    }

    /** The same kind with other likely values of what is least certain. */
    public function with(
        Estimate $growth,
        Estimate $halfLight,
        Estimate $melt,
        Estimate $densest,
        Estimate $dryPerPiece,
        Estimate $rootShare,
    ): self {
        $changed = [
            'growth' => $growth,
            'halfLight' => $halfLight,
            'melt' => $melt,
            'densest' => $densest,
            'dryPerPiece' => $dryPerPiece,
            'rootShare' => $rootShare,
        ];

        /** @phpstan-ignore argument.type (the names and types are those of the constructor) */
        return new self(...[...get_object_vars($this), ...$changed]);
    }
}
