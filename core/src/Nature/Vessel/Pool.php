<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** An oval pool with upright walls. */
final readonly class Pool extends Upright
{
    /**
     * @param float $outerLength m, along the front
     * @param float $outerWidth  m
     * @param float $outerHeight m
     * @param float $wall        m
     */
    public function __construct(public float $outerLength, public float $outerWidth, float $outerHeight, float $wall)
    {
        parent::__construct($outerHeight, $wall);
    }

    public function shape(): VesselShape
    {
        return VesselShape::Pool;
    }

    public function measures(): array
    {
        return ['length' => $this->outerLength, 'width' => $this->outerWidth, 'height' => $this->outerHeight, 'wall' => $this->glass];
    }

    public function isRound(): bool
    {
        return true;
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
        return \M_PI / 4 * $this->length() * $this->width();
    }

    public function footprint(): float
    {
        return \M_PI / 4 * $this->outerLength * $this->outerWidth;
    }

    /** P: Ramanujan (1914), Modular equations and approximations to π: π (3(a+b) − √((3a+b)(a+3b))). */
    protected function girth(): float
    {
        $a = $this->length() / 2;
        $b = $this->width() / 2;

        return \M_PI * (3 * ($a + $b) - sqrt((3 * $a + $b) * ($a + 3 * $b)));
    }

    protected function density(): float
    {
        // kg per L of polyethylene. P: ISO 17855, 0.93–0.97.
        return 0.95;
    }
}
