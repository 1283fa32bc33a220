<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\LeafColour;
use Olvek\Core\Nature\Plant\LeafMargin;
use Olvek\Core\Nature\Plant\LeafOutline;

/** One leaf by its outline and margin, from its foot to its tip. Lengths in drawing units; y grows downward. */
final readonly class Blade
{
    /** Length below which a margin does not show. */
    private const FINE = 9.0;
    /** Points to a side by which an outline is drawn. */
    private const POINTS = 8;

    public function __construct(
        private Foliage $foliage,
        private LeafOutline $outline,
        private LeafMargin $margin,
        private LeafColour $colour,
    ) {
    }

    /** @param float $width of the whole leaf at its broadest */
    public function draw(float $x, float $y, float $tipX, float $tipY, float $width): void
    {
        $leaf = new BladeFrame($x, $y, $tipX, $tipY, $width);
        match ($this->outline) {
            LeafOutline::Needle, LeafOutline::Joint => $this->line($leaf),
            LeafOutline::Feather, LeafOutline::Frond, LeafOutline::Flame, LeafOutline::Droop => $this->feather($leaf),
            LeafOutline::Fan, LeafOutline::Umbrella, LeafOutline::Fork => $this->fan($leaf),
            LeafOutline::Pinnate => $this->pinnate($leaf),
            LeafOutline::Hand => $this->hand($leaf),
            LeafOutline::Clover => $this->clover($leaf),
            LeafOutline::Round, LeafOutline::Scale => $this->round($leaf),
            default => $this->blade($leaf),
        };
    }

    private function line(BladeFrame $leaf): void
    {
        $this->foliage->hair($this->colour, Pen::line($leaf->x, $leaf->y, $leaf->tipX, $leaf->tipY));
        if (LeafOutline::Joint === $this->outline) {
            foreach ([0.2, 0.4, 0.6, 0.8] as $t) {
                $this->foliage->hair($this->colour, 'M'.$leaf->at($t, -1.0).'L'.$leaf->at($t, 1.0));
            }
        }
    }

    private function feather(BladeFrame $leaf): void
    {
        $path = Pen::line($leaf->x, $leaf->y, $leaf->tipX, $leaf->tipY);
        $steps = $leaf->length < self::FINE ? 3 : 6;
        for ($n = 1; $n <= $steps; ++$n) {
            $t = $n / ($steps + 1);
            $reach = LeafOutline::Frond === $this->outline ? 1.3 * (1 - $t) : 1.0 - 0.5 * $t;
            $path .= 'M'.$leaf->at($t + 0.12, -$reach).'L'.$leaf->at($t, 0.0).'L'.$leaf->at($t + 0.12, $reach);
        }
        $this->foliage->hair($this->colour, $path);
    }

    private function fan(BladeFrame $leaf): void
    {
        $rays = LeafOutline::Fork === $this->outline ? [-0.6, 0.6] : [-1.0, -0.55, 0.0, 0.55, 1.0];
        $foot = LeafOutline::Fork === $this->outline ? 0.55 : 0.15;
        $path = 'M'.$leaf->at(0.0, 0.0).'L'.$leaf->at($foot, 0.0);
        foreach ($rays as $ray) {
            $path .= 'M'.$leaf->at($foot, 0.0).'L'.$leaf->at(1.0 - 0.25 * $ray * $ray, $ray);
        }
        $this->foliage->hair($this->colour, $path);
    }

    /** Leaflets along a midrib. */
    private function pinnate(BladeFrame $leaf): void
    {
        $this->foliage->stalk(Pen::line($leaf->x, $leaf->y, $leaf->tipX, $leaf->tipY));
        $pairs = $leaf->length < 2 * self::FINE ? 3 : 5;
        for ($n = 0; $n < $pairs; ++$n) {
            $t = 0.15 + (0.75 * $n) / $pairs;
            $reach = sin(\M_PI * (0.25 + 0.65 * $t));
            foreach ([-1, 1] as $side) {
                [$fromX, $fromY] = $leaf->point($t, 0.0);
                [$toX, $toY] = $leaf->point($t + 0.2, $side * $reach);
                $this->foliage->leaf($this->colour, Pen::leaf($fromX, $fromY, $toX, $toY, max(1.0, 0.11 * $leaf->length)));
            }
        }
        [$fromX, $fromY] = $leaf->point(0.8, 0.0);
        $this->foliage->leaf($this->colour, Pen::leaf($fromX, $fromY, $leaf->tipX, $leaf->tipY, max(1.0, 0.1 * $leaf->length)));
    }

    /** Five leaflets from one point. */
    private function hand(BladeFrame $leaf): void
    {
        foreach ([-1.0, -0.55, 0.0, 0.55, 1.0] as $ray) {
            [$toX, $toY] = $leaf->point(1.0 - 0.45 * $ray * $ray, $ray);
            $this->foliage->leaf($this->colour, Pen::leaf($leaf->x, $leaf->y, $toX, $toY, 0.26 * $leaf->length));
        }
    }

    /** Three or four round leaflets on a stalk. */
    private function clover(BladeFrame $leaf): void
    {
        $size = max(1.1, 0.3 * $leaf->width);
        [$x, $y] = $leaf->point(0.5, 0.0);
        foreach ([[-0.9, 0.0], [0.9, 0.0], [0.0, -0.9], [0.0, 0.7]] as [$aside, $down]) {
            $this->foliage->leaf($this->colour, Pen::disc($x + $aside * $size, $y + $down * $size, $size, $size));
        }
    }

    private function round(BladeFrame $leaf): void
    {
        [$x, $y] = $leaf->point(0.5, 0.0);
        $size = max(1.0, $leaf->width / 2);
        $this->foliage->leaf($this->colour, Pen::disc($x, $y, $size, LeafMargin::Toothed === $this->margin ? 0.8 * $size : 0.9 * $size));
    }

    private function blade(BladeFrame $leaf): void
    {
        $isPlain = LeafMargin::Plain === $this->margin || $leaf->length < self::FINE;
        if ($isPlain && \in_array($this->outline, [LeafOutline::Lance, LeafOutline::Oval, LeafOutline::Strap], true)) {
            $this->foliage->leaf($this->colour, Pen::leaf($leaf->x, $leaf->y, $leaf->tipX, $leaf->tipY, $leaf->width));

            return;
        }
        $left = $right = [];
        for ($n = 1; $n < self::POINTS; ++$n) {
            $t = $n / self::POINTS;
            $half = $this->half($t) * ($isPlain ? 1.0 : $this->edge($n));
            $left[] = $leaf->at($this->back($t), -$half);
            $right[] = $leaf->at($this->back($t), $half);
        }
        $path = 'M'.$leaf->at(0.0, 0.0).'L'.implode('L', $left).'L'.$leaf->at(1.0, 0.0).'L'.implode('L', array_reverse($right)).'Z';
        $this->foliage->leaf($this->colour, $path);
    }

    /** Half width (0–1) at a share of the length. */
    private function half(float $t): float
    {
        return match ($this->outline) {
            LeafOutline::Heart => sin(\M_PI * (0.28 + 0.72 * $t) ** 0.9) + ($t < 0.2 ? 0.25 : 0.0),
            LeafOutline::Arrow => $t < 0.3 ? 1.0 - 0.8 * $t : 0.9 * (1 - $t),
            LeafOutline::Spoon => 0.25 + 0.75 * sin(\M_PI * $t ** 2.2),
            LeafOutline::Oval => sin(\M_PI * $t) ** 0.8,
            LeafOutline::Strap => 0.85 * min(1.0, 6 * $t, 4 * (1 - $t) + 0.1),
            default => sin(\M_PI * $t ** 0.85),
        };
    }

    /** Lobes of hearts and arrows reach behind the foot. */
    private function back(float $t): float
    {
        return \in_array($this->outline, [LeafOutline::Heart, LeafOutline::Arrow], true) && $t < 0.2 ? -0.12 : $t;
    }

    /** How far the margin stands out at a point. */
    private function edge(int $n): float
    {
        return match ($this->margin) {
            LeafMargin::Wavy, LeafMargin::Curled, LeafMargin::Spiral => 1 === $n % 2 ? 1.08 : 0.86,
            LeafMargin::Toothed => 1 === $n % 2 ? 1.1 : 0.88,
            LeafMargin::Split => 1 === $n % 2 ? 1.1 : 0.45,
            LeafMargin::Plain => 1.0,
        };
    }
}
