<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** Part of a hollow sphere of glass. */
abstract readonly class Spherical extends Curved
{
    /**
     * @param float $diameter m, outside, at the widest
     * @param float $glass    m
     */
    public function __construct(public float $diameter, float $glass)
    {
        parent::__construct($glass);
    }

    /** m from the inside of the bottom to the sphere's centre. */
    abstract protected function centre(): float;

    final public function radius(): float
    {
        return $this->diameter / 2 - $this->thickness;
    }

    final public function outerLength(): float
    {
        return $this->diameter;
    }

    final public function outerWidth(): float
    {
        return $this->diameter;
    }

    final public function length(): float
    {
        return 2 * $this->radius();
    }

    final public function width(): float
    {
        return 2 * $this->radius();
    }

    final public function lengthAt(float $height): float
    {
        return 2 * sqrt(max(0.0, $this->radius() ** 2 - ($height - $this->centre()) ** 2));
    }

    final public function widthAt(float $height): float
    {
        return $this->lengthAt($height);
    }

    /** V = π (R²h − ((h−c)³ + c³)/3), the sphere cut by two level planes. */
    final public function volumeBelow(float $height): float
    {
        $centre = $this->centre();

        return 1000 * \M_PI * ($this->radius() ** 2 * $height - (($height - $centre) ** 3 + $centre ** 3) / 3);
    }

    final protected function hasRoundSections(): bool
    {
        return true;
    }

    final protected function wallDensity(): float
    {
        return Upright::GLASS_DENSITY;
    }
}
