<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** A box of five panes; measured outside, as a tape measure does, with one pane thickness. */
final readonly class GlassBox extends Upright
{
    /**
     * @param float $outerLength m, along the front
     * @param float $outerWidth  m, front to back
     * @param float $outerHeight m
     * @param float $glass       m, pane thickness
     */
    public function __construct(public float $outerLength, public float $outerWidth, float $outerHeight, float $glass)
    {
        parent::__construct($outerHeight, $glass);
    }

    public function shape(): VesselShape
    {
        return VesselShape::GlassBox;
    }

    public function measures(): array
    {
        return ['length' => $this->outerLength, 'width' => $this->outerWidth, 'height' => $this->outerHeight, 'glass' => $this->glass];
    }

    public function isRound(): bool
    {
        return false;
    }

    public function outerLength(): float
    {
        return $this->outerLength;
    }

    public function outerWidth(): float
    {
        return $this->outerWidth;
    }

    public function areaAt(float $height): float
    {
        return $this->length() * $this->width();
    }

    public function footprint(): float
    {
        return $this->outerLength * $this->outerWidth;
    }

    protected function girth(): float
    {
        return 2 * ($this->length() + $this->width());
    }
}
