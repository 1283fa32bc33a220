<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\Habit;
use Olvek\Core\Nature\Plant\LeafOutline;

/** What has its leaves in the air: house plants with their roots in the water, and marsh plants that stand in the bed. */
final readonly class AirFigure extends PlantFigure
{
    /** Height in the drawing above which a house plant would leave it. */
    private const HIGHEST = 46.0;
    /** Thickest stalk of a reed. */
    private const STOUT = 1.6;

    protected function grow(): void
    {
        Habit::Reed === $this->kind->look->habit ? $this->reed() : $this->shoot();
    }

    private function shoot(): void
    {
        $look = $this->kind->look;
        $height = min($this->height, self::HIGHEST);
        $foot = $this->ceiling;
        $roots = '';
        for ($n = 0; $n < 7; ++$n) {
            $roots .= Pen::curve($this->x, $foot - 4, $this->x + $this->pen->between(-14, 14), $foot + 20, $this->x
                + $this->pen->between(-20, 20), $foot + $this->pen->between(25, 62));
        }
        $this->foliage->roots($roots);
        $count = max(4, min(9, (int) $look->leaves->value));
        $size = max(8.0, min(0.62 * $height, $look->length->value * (1 - $look->stalk->value) * $this->cm * 1.2));
        $width = max(2.0, $size * min(1.0, $look->width->value / ($look->length->value * max(0.2, 1 - $look->stalk->value))));
        for ($n = 0; $n < $count; ++$n) {
            $turn = 2 * ($n + 0.5) / $count - 1;
            $x = $this->x + 0.7 * $turn * $height;
            $y = $foot - 6 - $height * (0.35 + 0.5 * (1 - abs($turn))) * $this->pen->between(0.85, 1.0);
            $this->foliage->stalk(Pen::curve($this->x, $foot - 2, $this->x + 5 * $turn, ($foot + $y) / 2, $x, $y));
            $hangs = \in_array($look->leaf, [LeafOutline::Strap, LeafOutline::Heart], true) ? 0.35 : -0.3;
            $aside = (0.25 + 0.75 * abs($turn)) * $size * ($turn < 0 ? -1 : 1);
            $this->blade(0 === $n % 2)->draw($x, $y, $x + $aside, $y + $hangs * $size, $width);
        }
    }

    private function reed(): void
    {
        $look = $this->kind->look;
        $count = max(4, min(12, (int) $look->leaves->value));
        $isStalked = $look->stalk->value > 0.5;
        $size = max(5.0, min(0.34 * $this->height, $look->length->value * ($isStalked ? 1 - $look->stalk->value : 1.0) * $this->cm * 1.4));
        for ($n = 0; $n < $count; ++$n) {
            $turn = 2 * ($n + 0.5) / $count - 1;
            $footX = $this->x + 4 * $turn;
            $x = $footX + 0.22 * $turn * $this->height;
            $y = $this->y - $this->height * (1 - 0.25 * abs($turn)) * $this->pen->between(0.86, 1.0);
            if ($isStalked) {
                $this->foliage->stalk(Pen::line($footX, $this->y, $x, $y));
                $this->head($x, $y, $size, $turn);
            } elseif (LeafOutline::Oval === $look->leaf) {
                $this->herb($footX, $x, $y, $size);
            } else {
                $this->blade(0 === $n % 4)->draw($footX, $this->y, $x, $y, max(self::STOUT, $look->width->value * $this->cm));
            }
        }
    }

    /** What a stalk carries at its top: a leaf, or rays all around. */
    private function head(float $x, float $y, float $size, float $turn): void
    {
        if (LeafOutline::Umbrella === $this->kind->look->leaf) {
            for ($ray = 0; $ray < 8; ++$ray) {
                $angle = \M_PI * ($ray + 0.5) / 8;
                $tip = [$x + $size * cos($angle), $y - 0.25 * $size * sin($angle) + 2];
                $this->foliage->leaf($this->kind->look->colour, Pen::leaf($x, $y, $tip[0], $tip[1], 1.6));
            }

            return;
        }
        $this->blade()->draw($x, $y, $x + 0.4 * $size * $turn, $y - 0.85 * $size, 0.75 * $size);
    }

    /** A stem with pairs of leaves. */
    private function herb(float $footX, float $x, float $y, float $size): void
    {
        $this->foliage->stalk(Pen::line($footX, $this->y, $x, $y));
        for ($t = 0.25; $t <= 1.0; $t += 0.15) {
            foreach ([-1, 1] as $side) {
                $px = $footX + ($x - $footX) * $t;
                $py = $this->y + ($y - $this->y) * $t;
                $this->blade($t > 0.8)->draw($px, $py, $px + 0.6 * $side * $size, $py - 0.3 * $size, 0.6 * $size * $this->slimness());
            }
        }
    }
}
