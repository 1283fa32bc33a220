<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\Habit;
use Olvek\Core\Nature\Plant\LeafOutline;
use Olvek\Core\Nature\Plant\PlantKind;

/** A clump from above: its pieces, each with its leaves around it. */
final class TopFigure
{
    /** Pieces that are drawn at most, and leaves of each. */
    private const PIECES = 7;
    private const LEAVES = [4, 8];

    /**
     * @param int   $pieces of the clump
     * @param float $radius of the clump in drawing units
     *
     * @return list<Shape>
     */
    public static function draw(PlantKind $kind, string $seed, int $pieces, float $x, float $y, float $radius): array
    {
        $pen = new Pen($seed);
        $foliage = new Foliage();
        $look = $kind->look;
        $many = max(1, min(self::PIECES, $pieces));
        $reach = 1 === $many ? $radius : 0.55 * $radius;
        for ($n = 0; $n < $many; ++$n) {
            // One in the middle, the others around it.
            $turn = 2 * \M_PI * $n / max(1, $many - 1);
            $out = 0 === $n ? 0.0 : 0.62 * $radius;
            self::piece($foliage, $kind, $pen, $x + $out * cos($turn), $y + $out * sin($turn), $reach, 0 === $n);
        }

        return Habit::Ball === $look->habit
            ? [new Shape(Pen::disc($x, $y, $radius, $radius), 'leaf leaf-'.$look->colour->value)]
            : array_map(
                // What lies on the water lets what stands below it be seen.
                static fn (Shape $s): Shape => $kind->role->coversSurface() ? new Shape($s->d, $s->class.' over') : $s,
                $foliage->shapes(),
            );
    }

    private static function piece(Foliage $foliage, PlantKind $kind, Pen $pen, float $x, float $y, float $reach, bool $young): void
    {
        $look = $kind->look;
        $leaves = max(self::LEAVES[0], min(self::LEAVES[1], (int) $look->leaves->value));
        $slimness = min(1.0, $look->width->value / $look->length->value);
        $isPad = \in_array($look->habit, [Habit::Floating, Habit::Lily], true) || LeafOutline::Round === $look->leaf;
        $blade = new Blade($foliage, $look->leaf, $look->margin, $young ? $look->young : $look->colour);
        $start = $pen->between(0, \M_PI);
        for ($n = 0; $n < $leaves; ++$n) {
            $turn = $start + 2 * \M_PI * $n / $leaves;
            $long = $reach * $pen->between(0.85, 1.05);
            if ($isPad) {
                $size = 0.3 * $reach;
                $foliage->leaf(0 === $n % 3 ? $look->young : $look->colour, Pen::disc(
                    $x + 0.7 * $long * cos($turn),
                    $y + 0.7 * $long * sin($turn),
                    $size,
                    $size,
                ));
            } else {
                $blade->draw($x, $y, $x + $long * cos($turn), $y + $long * sin($turn), max(1.2, $long * $slimness));
            }
        }
    }
}
