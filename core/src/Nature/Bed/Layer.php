<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\Section;
use Olvek\Core\Basis\Unit\Dimension;

/** One layer of the bed; it may thicken from front to back. */
final readonly class Layer
{
    /**
     * @param float $front m thick at the front pane
     * @param float $back  m thick at the back pane
     */
    public function __construct(
        #[Section('')]
        public Mix $mix,
        #[Number('at the front', Dimension::Length, 0.0, 2.0, 'm thick at the front pane', decimals: 2)]
        public float $front,
        #[Number('at the back', Dimension::Length, 0.0, 2.0, 'm thick at the back pane', decimals: 2)]
        public float $back,
    ) {
    }

    public function meanDepth(): float
    {
        return ($this->front + $this->back) / 2;
    }

    /** m thick at a share (0–1) of the way from front to back. */
    public function at(float $row): float
    {
        return $this->front + ($this->back - $this->front) * $row;
    }

    /** m thick at a pane. */
    public function depth(Side $side): float
    {
        return Side::Front === $side ? $this->front : $this->back;
    }
}
