<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

use Olvek\Core\Basis\Field\InvalidValue;

/** A vessel with straight walls on a flat bottom: its level sections are all alike. What differs is the outline. */
abstract readonly class Upright implements Vessel
{
    /** kg per L. P: EN 572-1, soda-lime silicate glass, 2500 kg/m³. */
    public const GLASS_DENSITY = 2.5;

    /**
     * @param float $outerHeight m
     * @param float $glass       m, thickness of walls and bottom
     *
     * @throws InvalidValue
     */
    public function __construct(public float $outerHeight, public float $glass)
    {
        VesselMeasure::check($this);
    }

    /** m around the inside of a level section. */
    abstract protected function girth(): float;

    /** Mean place of the floor between front (0) and back (1). */
    protected function meanRow(): float
    {
        return 0.5;
    }

    /** kg per L of wall. */
    protected function density(): float
    {
        return self::GLASS_DENSITY;
    }

    final public function lengthAt(float $height): float
    {
        return $this->length();
    }

    final public function widthAt(float $height): float
    {
        return $this->width();
    }

    public function broken(): ?array
    {
        return null;
    }

    final public function outerHeight(): float
    {
        return $this->outerHeight;
    }

    public function outline(): Outline
    {
        return $this->isRound() ? Outline::ellipse($this->length(), $this->width()) : Outline::rectangle($this->length(), $this->width());
    }

    public function length(): float
    {
        return $this->outerLength() - 2 * $this->glass;
    }

    final public function width(): float
    {
        return $this->outerWidth() - 2 * $this->glass;
    }

    final public function height(): float
    {
        return $this->outerHeight - $this->glass;
    }

    final public function grossVolume(): float
    {
        return $this->volumeBelow($this->height());
    }

    final public function volumeBelow(float $height): float
    {
        return $this->areaAt($height) * $height * 1000;
    }

    /** A plane's mean height over a flat floor is that over the floor's centroid: a slab of the same volume. */
    final public function volumeUnderSlope(float $front, float $back): float
    {
        return $this->areaAt(0.0) * ($front + ($back - $front) * $this->meanRow()) * 1000;
    }

    final public function mass(): float
    {
        return ($this->footprint() * $this->outerHeight * 1000 - $this->grossVolume()) * $this->density();
    }

    final public function wallArea(float $from, float $to): float
    {
        return $this->girth() * max(0.0, $to - $from);
    }
}
