<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** A regular six-sided glass prism that stands with one pane to the front. Measured outside. */
final readonly class Hexagon extends Upright
{
    /**
     * @param float $outerWidth  m, from the front pane to the back pane
     * @param float $outerHeight m
     * @param float $glass       m
     */
    public function __construct(public float $outerWidth, float $outerHeight, float $glass)
    {
        parent::__construct($outerHeight, $glass);
    }

    public function shape(): VesselShape
    {
        return VesselShape::Hexagon;
    }

    public function measures(): array
    {
        return ['width' => $this->outerWidth, 'height' => $this->outerHeight, 'glass' => $this->glass];
    }

    public function isRound(): bool
    {
        return false;
    }

    public function outerLength(): float
    {
        return self::across($this->outerWidth);
    }

    public function outerWidth(): float
    {
        return $this->outerWidth;
    }

    /** From corner to corner: the glass is thicker there than its panes are. */
    public function length(): float
    {
        return self::across($this->width());
    }

    public function outline(): Outline
    {
        $length = $this->length();
        $width = $this->width();

        return new Outline([
            [$length / 4, 0.0],
            [(3 * $length) / 4, 0.0],
            [$length, $width / 2],
            [(3 * $length) / 4, $width],
            [$length / 4, $width],
            [0.0, $width / 2],
        ]);
    }

    public function areaAt(float $height): float
    {
        return self::area($this->width());
    }

    public function footprint(): float
    {
        return self::area($this->outerWidth);
    }

    protected function girth(): float
    {
        return 3 * $this->length();
    }

    /** m² of a regular hexagon by the distance of its sides. P: any table of plane figures, √3/2 d². */
    private static function area(float $width): float
    {
        return (sqrt(3) / 2) * $width ** 2;
    }

    /** m from corner to corner of the same: 2/√3 d. */
    private static function across(float $width): float
    {
        return (2 / sqrt(3)) * $width;
    }
}
