<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** A jar on its side: a level cylinder, its mouth at one end, closed for good. */
final readonly class JarLying extends Curved
{
    /**
     * @param float $diameter    m, outside
     * @param float $outerLength m, along the front
     * @param float $glass       m
     */
    public function __construct(public float $diameter, public float $outerLength, float $glass)
    {
        parent::__construct($glass);
    }

    public function shape(): VesselShape
    {
        return VesselShape::JarLying;
    }

    public function measures(): array
    {
        return ['diameter' => $this->diameter, 'length' => $this->outerLength, 'glass' => $this->thickness];
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
        return $this->diameter;
    }

    public function outerHeight(): float
    {
        return $this->diameter;
    }

    public function length(): float
    {
        return $this->outerLength - 2 * $this->thickness;
    }

    public function width(): float
    {
        return $this->diameter - 2 * $this->thickness;
    }

    public function height(): float
    {
        return $this->width();
    }

    public function lengthAt(float $height): float
    {
        return $this->length();
    }

    public function widthAt(float $height): float
    {
        $radius = $this->width() / 2;

        return 2 * sqrt(max(0.0, $radius ** 2 - ($height - $radius) ** 2));
    }

    /** V = L (R² acos((R−h)/R) − (R−h) √(2Rh−h²)). */
    public function volumeBelow(float $height): float
    {
        $radius = $this->width() / 2;
        $h = max(0.0, min(2 * $radius, $height));

        return 1000 *
            $this->length() *
            ($radius ** 2 * acos(($radius - $h) / $radius) - ($radius - $h) * sqrt(max(0.0, 2 * $radius * $h - $h * $h)));
    }

    protected function hasRoundSections(): bool
    {
        return false;
    }

    protected function wallDensity(): float
    {
        return Upright::GLASS_DENSITY;
    }
}
