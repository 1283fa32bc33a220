<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\Habit;
use Olvek\Core\Nature\Plant\LeafOutline;

/** What grows towards the surface and along it: floaters, lilies, and stems that drift. */
final readonly class SurfaceFigure extends PlantFigure
{
    /** What one figure of a floater covers to each side, and how thick a pad is seen from the side. */
    private const REACH = 11.0;
    private const THIN = 0.32;
    /** Height, cm, from which a floater stands up from the water. */
    private const STANDS = 5.0;

    protected function grow(): void
    {
        match ($this->kind->look->habit) {
            Habit::Lily => $this->lily(),
            Habit::Trailing => $this->trail(),
            default => $this->kind->look->length->value >= self::STANDS ? $this->standing() : $this->pads(),
        };
    }

    private function pads(): void
    {
        $look = $this->kind->look;
        $count = (int) $look->leaves->value;
        $half = max(1.3, min(self::REACH, 0.5 * $look->length->value * $this->cm));
        for ($n = 0; $n < $count; ++$n) {
            $x = $this->x + self::REACH * (2 * ($n + 0.5) / $count - 1) + $this->pen->between(-1, 1);
            $colour = 0 === $n % 3 ? $look->young : $look->colour;
            if (LeafOutline::Scale === $look->leaf) {
                foreach ([-0.7, 0.0, 0.7] as $off) {
                    $scale = Pen::disc($x + $off * $half, $this->ceiling - 1.5 - abs($off), 0.55 * $half, 0.5 * $half);
                    $this->foliage->leaf($colour, $scale);
                }
            } else {
                $this->foliage->leaf($colour, Pen::disc($x, $this->ceiling - 1.2, $half, max(0.9, self::THIN * $half)));
            }
            $this->roots($x, 2.2 * $half, $half > 1.4 ? 3 : 1);
        }
    }

    /** A rosette that floats: leaves that stand up in the air. */
    private function standing(): void
    {
        $look = $this->kind->look;
        $count = (int) $look->leaves->value;
        $long = max(7.0, min(26.0, 0.6 * $look->length->value * $this->cm));
        for ($n = 0; $n < $count; ++$n) {
            $turn = 2 * ($n + 0.5) / $count - 1;
            $tipX = $this->x + 0.9 * $long * $turn;
            $tipY = $this->ceiling - $long * (1 - 0.75 * abs($turn)) - 2;
            $this->leaf($this->x + 2 * $turn, $this->ceiling, $tipX, $tipY, max(3.0, $long * $this->slimness()), 0 === $n % 3);
        }
        $this->roots($this->x, 1.4 * $long, 6);
    }

    private function roots(float $x, float $long, int $count): void
    {
        $roots = '';
        for ($n = 0; $n < $count; ++$n) {
            $aside = $count > 1 ? 3 * (2 * $n / ($count - 1) - 1) : 0.0;
            $roots .= Pen::curve($x + 0.5 * $aside, $this->ceiling + 0.5, $x + $aside, $this->ceiling + 0.5 * $long, $x + $aside
                + $this->pen->between(-1.5, 1.5), $this->ceiling + max(3.0, $long) * $this->pen->between(0.8, 1.2));
        }
        $this->foliage->roots($roots);
    }

    private function lily(): void
    {
        $look = $this->kind->look;
        $count = max(5, (int) $look->leaves->value);
        $size = max(7.0, min(0.26 * $this->height + 5, $look->length->value * (1 - $look->stalk->value) * $this->cm * 1.6));
        $depth = $this->y - $this->ceiling;
        for ($n = 0; $n < $count; ++$n) {
            $turn = 2 * ($n + 0.5) / $count - 1;
            $rises = 1 === $n % 2 && $this->height > 0.75 * $depth;
            $tall = $rises ? $depth : min(0.85 * $depth, $this->height * $this->pen->between(0.45, 0.85));
            $x = $this->x + $turn * (0.3 * $this->height + $size);
            $y = $this->y - $tall;
            $this->foliage->stalk(Pen::curve($this->x, $this->y, $this->x + 0.2 * $turn * $size, $this->y - 0.6 * $tall, $x, $y));
            if ($rises) {
                $this->foliage->leaf($look->young, Pen::disc($x, $this->ceiling - 0.8, 0.62 * $size, 2.2));
            } else {
                $side = $turn < 0 ? -1 : 1;
                $this->blade(0 === $n % 3)->draw($x - 0.15 * $side * $size, $y, $x + 0.85 * $side * $size, $y - 0.3 * $size, 0.85 * $size);
            }
        }
    }

    /** A stem that drifts under the surface. */
    private function trail(): void
    {
        $look = $this->kind->look;
        $span = min($this->height, 130.0);
        $y = $this->ceiling + 3;
        $drop = $this->pen->between(0.15, 0.45) * $span;
        $at = fn (float $t): array => [$this->x - $span / 2 + $span * $t, $y + $drop * $t * $t];
        $size = max(3.0, min(9.5, $look->length->value * $this->cm));
        $this->foliage->stalk(Pen::curve($this->x - $span / 2, $y, $this->x, $y, ...$at(1.0)));
        $isFine = \in_array($look->leaf, [LeafOutline::Needle, LeafOutline::Strap], true);
        for ($t = 0.03; $t <= 1.0; $t += $isFine ? 0.035 : 0.07) {
            [$px, $py] = $at($t);
            $reach = $size * (1 - 0.45 * $t) + 1;
            foreach ([-1, 1] as $side) {
                if ($isFine) {
                    $needle = Pen::line($px, $py, $px - 0.55 * $reach, $py + 0.8 * $side * $reach);
                    $this->foliage->hair($t > 0.8 ? $look->young : $look->colour, $needle);
                } else {
                    $width = max(1.6, $reach * $this->slimness());
                    $this->blade($t > 0.8)->draw($px, $py, $px + 0.5 * $reach, $py + 0.8 * $side * $reach, $width);
                }
            }
        }
    }
}
