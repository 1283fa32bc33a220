<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

use Olvek\Core\Basis\Unit\Estimate;

/** What a grown plant looks like, so that it is drawn as itself. Nothing is computed from it. */
final readonly class PlantLook
{
    /**
     * @param Estimate   $length of a leaf with its stalk, cm
     * @param Estimate   $width  of its blade, cm
     * @param Estimate   $stalk  share (0–1) of the length that is bare stalk
     * @param Estimate   $leaves at a node, of a rosette, or in all
     * @param Estimate   $node   cm of stem from one node to the next; 0 for what has no stem
     * @param LeafColour $young  of young leaves, or of the variegation
     */
    public function __construct(
        public Habit $habit,
        public LeafOutline $leaf,
        public LeafMargin $margin,
        public Estimate $length,
        public Estimate $width,
        public Estimate $stalk,
        public Estimate $leaves,
        public Estimate $node,
        public LeafColour $colour,
        public LeafColour $young,
    ) {
    }
}
