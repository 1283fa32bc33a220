<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;

/** A box whose front pane bows outward along a circle. */
final readonly class BowFront extends Upright
{
    /** Points by which the bow is drawn. */
    private const ARC = 48;

    /**
     * @param float $outerLength m, along the back
     * @param float $outerWidth  m, back to front at the sides
     * @param float $bow         m by which the front stands out in the middle
     * @param float $outerHeight m
     * @param float $glass       m
     */
    public function __construct(public float $outerLength, public float $outerWidth, public float $bow, float $outerHeight, float $glass)
    {
        parent::__construct($outerHeight, $glass);
    }

    public function shape(): VesselShape
    {
        return VesselShape::BowFront;
    }

    public function measures(): array
    {
        return [
            'length' => $this->outerLength,
            'width' => $this->outerWidth,
            'bow' => $this->bow,
            'height' => $this->outerHeight,
            'glass' => $this->glass,
        ];
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
        return $this->outerWidth + $this->bow;
    }

    public function outline(): Outline
    {
        $length = $this->length();
        $half = self::halfAngle($length, $this->bow);
        $bend = self::bend($length, $this->bow);
        $points = [[$length, $this->width()], [0.0, $this->width()]];
        for ($n = 0; $n <= self::ARC; ++$n) {
            $angle = $half * ((2 * $n) / self::ARC - 1);
            $points[] = [$length / 2 + $bend * sin($angle), $bend * (1 - cos($angle))];
        }

        return new Outline($points);
    }

    public function areaAt(float $height): float
    {
        return $this->length() * ($this->width() - $this->bow) + self::segment($this->length(), $this->bow);
    }

    public function footprint(): float
    {
        return $this->outerLength * $this->outerWidth + self::segment($this->outerLength, $this->bow);
    }

    public function broken(): ?array
    {
        return $this->bow > $this->outerLength / 2
            ? [
                'bow',
                fn (UnitSystem $u): string => \sprintf(
                    'The front cannot bow out further than half the length, %s.',
                    $u->show(Dimension::Length, $this->outerLength / 2),
                ),
            ]
            : null;
    }

    protected function girth(): float
    {
        $half = self::halfAngle($this->length(), $this->bow);

        return $this->length() + 2 * ($this->width() - $this->bow) + 2 * $half * self::bend($this->length(), $this->bow);
    }

    /** The floor's centroid, from the foremost point of the bow: rectangle and segment weighed together. */
    protected function meanRow(): float
    {
        $half = self::halfAngle($this->length(), $this->bow);
        $bend = self::bend($this->length(), $this->bow);
        $box = $this->width() - $this->bow;
        $segment = self::segment($this->length(), $this->bow);
        // From the chord outward. P: any table of centroids, segment of a circle: 2 r sin³α / 3(α − sin α cos α) from the centre.
        $out = (2 * $bend * sin($half) ** 3) / (3 * ($half - sin($half) * cos($half))) - $bend * cos($half);
        $fromBack = (($this->length() * $box * $box) / 2 + $segment * ($box + $out)) / $this->areaAt(0.0);

        return 1 - $fromBack / $this->width();
    }

    /** m, radius of a bow by its chord and its height. */
    private static function bend(float $chord, float $bow): float
    {
        return ($chord ** 2 / 4 + $bow ** 2) / (2 * $bow);
    }

    private static function halfAngle(float $chord, float $bow): float
    {
        $bend = self::bend($chord, $bow);

        return acos(($bend - $bow) / $bend);
    }

    private static function segment(float $chord, float $bow): float
    {
        $half = self::halfAngle($chord, $bow);

        return self::bend($chord, $bow) ** 2 * ($half - sin($half) * cos($half));
    }
}
