<?php

declare(strict_types=1);

namespace Olvek\Drawing;

/** A stone as a lump, a piece of wood as a leaning stump with a branch. */
final class HardscapeFigure
{
    /** Corners of a stone. */
    private const CORNERS = 9;

    /** @param float $size in drawing units: edge of a cube of the same volume */
    public static function draw(bool $wood, Pen $pen, float $x, float $y, float $size): string
    {
        return $wood ? self::wood($pen, $x, $y, $size) : self::stone($pen, $x, $y, $size);
    }

    private static function stone(Pen $pen, float $x, float $y, float $size): string
    {
        $points = [];
        for ($n = 0; $n < self::CORNERS; ++$n) {
            $angle = \M_PI * $n / (self::CORNERS - 1);
            $reach = $pen->between(0.8, 1.1);
            $points[] = [$x - 0.72 * $size * $reach * cos($angle), $y - 0.95 * $size * $reach * sin($angle)];
        }
        $points[] = [$x + 0.55 * $size, $y + 0.12 * $size];
        $points[] = [$x - 0.55 * $size, $y + 0.12 * $size];

        return Pen::polygon($points);
    }

    private static function wood(Pen $pen, float $x, float $y, float $size): string
    {
        $lean = $pen->between(-0.5, 0.5) * $size;
        $tall = 2.1 * $size;

        return Pen::leaf($x - 0.1 * $size, $y + 0.1 * $size, $x + $lean, $y - $tall, 0.42 * $size)
            .Pen::leaf($x, $y - 0.4 * $size, $x - 1.2 * $lean + 0.9 * $size, $y - 1.3 * $size, 0.2 * $size)
            .Pen::leaf($x, $y - 0.2 * $size, $x - 0.9 * $size, $y - 0.7 * $size, 0.2 * $size);
    }
}
