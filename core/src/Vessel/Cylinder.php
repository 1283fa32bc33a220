<?php

declare(strict_types=1);

namespace Olvek\Core\Vessel;

/** A straight glass cylinder: a tall vase. Measured outside, with one thickness of glass. */
final readonly class Cylinder implements Vessel
{
    public const SHAPE = 'cylinder';

    /**
     * @param float $diameter    m, outside
     * @param float $outerHeight m
     * @param float $glass       m, thickness of wall and bottom
     */
    public function __construct(
        public float $diameter,
        public float $outerHeight,
        public float $glass,
    ) {
    }

    public function shape(): string
    {
        return self::SHAPE;
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

    public function outerHeight(): float
    {
        return $this->outerHeight;
    }

    public function length(): float
    {
        return $this->diameter - 2 * $this->glass;
    }

    public function width(): float
    {
        return $this->length();
    }

    public function height(): float
    {
        return $this->outerHeight - $this->glass;
    }

    public function grossVolume(): float
    {
        return $this->volumeBelow($this->height());
    }

    public function volumeBelow(float $height): float
    {
        return $this->areaAt($height) * $height * 1000;
    }

    /** A plane that rises evenly from front to back has its mean height over the axis: a hoof as large as the level slice there. */
    public function volumeUnderSlope(float $front, float $back): float
    {
        return $this->areaAt(0.0) * ($front + $back) / 2 * 1000;
    }

    public function areaAt(float $height): float
    {
        return \M_PI * ($this->length() / 2) ** 2;
    }

    public function mass(): float
    {
        return ($this->footprint() * $this->outerHeight * 1000 - $this->grossVolume()) * GlassBox::GLASS_DENSITY;
    }

    public function footprint(): float
    {
        return \M_PI * ($this->diameter / 2) ** 2;
    }

    public function wallArea(float $from, float $to): float
    {
        return \M_PI * $this->length() * max(0.0, $to - $from);
    }
}
