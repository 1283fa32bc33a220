<?php

declare(strict_types=1);

namespace Olvek\Core\Vessel;

/** A box of five panes; measured outside, as a tape measure does, with one pane thickness. */
final readonly class GlassBox implements Vessel
{
    public const SHAPE = 'glass-box';
    /** kg per L. P: EN 572-1, soda-lime silicate glass, 2500 kg/m³. */
    public const GLASS_DENSITY = 2.5;

    /**
     * @param float $outerLength m, along the front
     * @param float $outerWidth  m, front to back
     * @param float $outerHeight m
     * @param float $glass       m, pane thickness
     */
    public function __construct(
        public float $outerLength,
        public float $outerWidth,
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

    public function outerHeight(): float
    {
        return $this->outerHeight;
    }

    public function length(): float
    {
        return $this->outerLength - 2 * $this->glass;
    }

    public function width(): float
    {
        return $this->outerWidth - 2 * $this->glass;
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

    /** A wedge on a slab: the mean of front and back depth times the floor. */
    public function volumeUnderSlope(float $front, float $back): float
    {
        return $this->length() * $this->width() * ($front + $back) / 2 * 1000;
    }

    public function areaAt(float $height): float
    {
        return $this->length() * $this->width();
    }

    public function mass(): float
    {
        $outer = $this->outerLength * $this->outerWidth * $this->outerHeight * 1000;

        return ($outer - $this->grossVolume()) * self::GLASS_DENSITY;
    }

    public function footprint(): float
    {
        return $this->outerLength * $this->outerWidth;
    }

    public function wallArea(float $from, float $to): float
    {
        return 2 * ($this->length() + $this->width()) * max(0.0, $to - $from);
    }
}
