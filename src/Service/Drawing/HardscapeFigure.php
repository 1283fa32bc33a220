<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Hardscape\Piece;

/** A stone as a lump, a piece of wood as a leaning stump with a branch. */
final class HardscapeFigure
{
    /** Corners of a stone. */
    private const CORNERS = 9;

    /**
     * @param float $across in drawing units: how broad it is in this view
     * @param float $tall   likewise, how high
     */
    public static function draw(Pen $pen, float $x, float $y, Piece $piece, float $across, float $tall): string
    {
        // A cube's worth of stone lies broader than high; a branch of as much stands slender.
        [$half, $high] = match (true) {
            $piece->isMeasured() => [$across / 2, $tall],
            $piece->kind->wood => [0.9 * $across, 2.1 * $tall],
            default => [0.72 * $across, 0.95 * $tall],
        };

        return $piece->kind->wood ? self::wood($pen, $x, $y, $half, $high) : self::stone($pen, $x, $y, $half, $high);
    }

    private static function stone(Pen $pen, float $x, float $y, float $half, float $high): string
    {
        $points = [];
        for ($n = 0; $n < self::CORNERS; ++$n) {
            $angle = \M_PI * $n / (self::CORNERS - 1);
            $reach = $pen->between(0.8, 1.1);
            $points[] = [$x - $half * $reach * cos($angle), $y - $high * $reach * sin($angle)];
        }
        $points[] = [$x + 0.76 * $half, $y + 0.12 * $high];
        $points[] = [$x - 0.76 * $half, $y + 0.12 * $high];

        return Pen::polygon($points);
    }

    private static function wood(Pen $pen, float $x, float $y, float $half, float $high): string
    {
        $wide = $half / 0.9;
        $up = $high / 2.1;
        $lean = $pen->between(-0.5, 0.5) * $wide;

        return Pen::leaf($x - 0.1 * $wide, $y + 0.1 * $up, $x + $lean, $y - $high, 0.42 * $wide)
            .Pen::leaf($x, $y - 0.4 * $up, $x - 1.2 * $lean + 0.9 * $wide, $y - 1.3 * $up, 0.2 * $wide)
            .Pen::leaf($x, $y - 0.2 * $up, $x - 0.9 * $wide, $y - 0.7 * $up, 0.2 * $wide);
    }
}
