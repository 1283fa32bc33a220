<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** A straight glass cylinder: a tall vase. Measured outside, with one thickness of glass. */
final readonly class Cylinder extends Upright
{
    /**
     * @param float $diameter    m, outside
     * @param float $outerHeight m
     * @param float $glass       m, thickness of wall and bottom
     */
    public function __construct(public float $diameter, float $outerHeight, float $glass)
    {
        parent::__construct($outerHeight, $glass);
    }

    public function shape(): VesselShape
    {
        return VesselShape::Cylinder;
    }

    public function measures(): array
    {
        return ['diameter' => $this->diameter, 'height' => $this->outerHeight, 'glass' => $this->glass];
    }

    public function isRound(): bool
    {
        return true;
    }

    public function outerLength(): float
    {
        return $this->diameter;
    }

    public function outerWidth(): float
    {
        return $this->diameter;
    }

    public function areaAt(float $height): float
    {
        return \M_PI * ($this->length() / 2) ** 2;
    }

    public function footprint(): float
    {
        return \M_PI * ($this->diameter / 2) ** 2;
    }

    protected function girth(): float
    {
        return \M_PI * $this->length();
    }
}
