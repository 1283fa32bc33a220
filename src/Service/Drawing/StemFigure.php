<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\Habit;
use Olvek\Core\Nature\Plant\LeafOutline;

/** A stem with leaves in whorls, in pairs or one by one. */
final readonly class StemFigure extends PlantFigure
{
    /** Nodes that are drawn at most: more would only blur. */
    private const NODES = 11;
    /** Share of the height above which leaves are young. */
    private const YOUNG = 0.72;
    /** Smallest and, against the height, largest leaf. */
    private const LEAST = 2.4;
    private const MOST = 0.15;

    protected function grow(): void
    {
        $look = $this->kind->look;
        $apart = max($look->node->value * $this->cm, $this->height / self::NODES);
        $stretch = max(1.0, min(1.15, sqrt($apart / max(0.1, $look->node->value * $this->cm))));
        $length = min(max(self::LEAST, $look->length->value * $this->cm * $stretch), max(6.0, self::MOST * $this->height));
        $lean = $this->pen->between(-0.08, 0.08) * $this->height;
        $at = fn (float $t): array => [$this->x + $lean * $t * $t, $this->y - $this->height * $t];
        $this->foliage->stalk(Pen::curve($this->x, $this->y, $this->x + $lean * 0.2, $this->y - $this->height * 0.5, ...$at(1.0)));
        $side = 1;
        for ($t = 0.1; $t <= 1.0; $t += ($apart / $this->height) * $this->pen->between(0.9, 1.1)) {
            [$x, $y] = $at($t);
            $size = $length * ($t > 0.9 ? 0.6 : 1.0 - 0.25 * $t) * $this->pen->between(0.88, 1.08);
            $side = -$side;
            $this->node($x, $y, $size, $side, $t > self::YOUNG);
        }
        [$x, $y] = $at(1.0);
        $this->leaf($x, $y + 1, $x + $this->pen->between(-1.5, 1.5), $y - 0.5 * $length, 0.5 * $length * $this->slimness(), true);
    }

    private function node(float $x, float $y, float $size, int $side, bool $young): void
    {
        $width = max(1.0, $size * $this->slimness());
        $rise = $this->pen->between(0.4, 0.75);
        if (Habit::Alternate === $this->kind->look->habit) {
            $this->leaf($x, $y, $x + $side * $size, $y - $size * $rise, $width, $young);

            return;
        }
        if (Habit::Whorled === $this->kind->look->habit && $this->kind->look->leaves->value > 2) {
            $this->whorl($x, $y, $size, $width, $young);

            return;
        }
        foreach ([-1, 1] as $to) {
            $this->leaf($x, $y, $x + $to * $size, $y - $size * $rise, $width, $young);
        }
    }

    /** Leaves all around, those towards and behind foreshortened. */
    private function whorl(float $x, float $y, float $size, float $width, bool $young): void
    {
        $look = $this->kind->look;
        $leaves = min(7, (int) $look->leaves->value);
        $isFine = LeafOutline::Feather === $look->leaf;
        $hairs = '';
        for ($n = 0; $n < $leaves; ++$n) {
            $turn = \M_PI * ($n + 0.5) / $leaves;
            $tipX = $x + $size * cos($turn);
            $tipY = $y - $size * (0.2 + 0.22 * sin($turn));
            if ($isFine) {
                // A whorl of feathers is a brush.
                $hairs .= Pen::line($x, $y, $tipX, $tipY).Pen::line(
                    ($x + $tipX) / 2,
                    ($y + $tipY) / 2,
                    $tipX - 0.1 * $size * cos($turn),
                    $tipY - 0.25 * $size,
                );
            } else {
                $this->leaf($x, $y, $tipX, $tipY, $width, $young);
            }
        }
        if ($isFine) {
            $this->foliage->hair($young ? $look->young : $look->colour, $hairs);
        }
    }
}
