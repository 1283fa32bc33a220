<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\Habit;
use Olvek\Core\Nature\Plant\LeafMargin;

/** Leaves from one point: rosettes, straps, grasses, and rhizomes that creep. */
final readonly class CrownFigure extends PlantFigure
{
    /** Half width of the thinnest strap that shows. */
    private const THINNEST = 0.8;

    protected function grow(): void
    {
        match ($this->kind->look->habit) {
            Habit::Ribbon => $this->straps(),
            Habit::Tuft => $this->tuft(),
            Habit::Rhizome => $this->fan(true),
            default => $this->fan(false),
        };
    }

    /** @param bool $creeps along a rhizome, else from one crown */
    private function fan(bool $creeps): void
    {
        $count = max(4, (int) $this->kind->look->leaves->value);
        $width = max(2.0, $this->height * $this->slimness() * 1.05);
        // Broad leaves lie further out.
        $out = 0.4 + min(0.22, 0.6 * $this->slimness());
        $long = $creeps ? 0.16 * $this->height + 5 : 0.0;
        if ($creeps) {
            $this->foliage->stalk(Pen::curve($this->x - $long, $this->y - 2, $this->x, $this->y - 4, $this->x + $long, $this->y - 2));
        }
        for ($n = 0; $n < $count; ++$n) {
            // The outer leaves first, the middle ones before them.
            $place = (0 === $n % 2 ? $n : $count - $n) / max(1, $count - 1);
            $turn = 2 * $place - 1;
            $reach = $this->height * (1 - 0.4 * $turn * $turn) * $this->pen->between(0.84, 1.0);
            $footX = $this->x + $turn * $long;
            $footY = $this->y - ($creeps ? 3 : 0);
            $tipX = $footX + $turn * $this->height * $out + $this->pen->between(-0.04, 0.04) * $this->height;
            $this->leaf($footX, $footY, $tipX, $this->y - $reach, $width, abs($turn) < 0.25);
        }
    }

    /** Long straps that lie over along the surface. */
    private function straps(): void
    {
        $look = $this->kind->look;
        $count = max(5, (int) $look->leaves->value);
        $half = max(self::THINNEST, 0.3 * $look->width->value * $this->cm);
        $sways = \in_array($look->margin, [LeafMargin::Wavy, LeafMargin::Spiral], true);
        for ($n = 0; $n < $count; ++$n) {
            $lean = (2 * ($n + 0.5) / $count - 1) * 0.24 * $this->height + $this->pen->between(-2, 2);
            $tall = $this->height * $this->pen->between(0.72, 1.05);
            $tipX = $this->x + $lean;
            $tipY = $this->y - $tall;
            if ($tipY < $this->ceiling + 4) {
                $tipX += ($lean < 0 ? -1 : 1) * min(50.0, $this->ceiling + 4 - $tipY);
                $tipY = $this->ceiling + 4;
            }
            $bend = $sways ? (0 === $n % 2 ? -1 : 1) * 4 * $half : 0.0;
            $midY = $tipY + ($this->y - $tipY) * 0.38;
            $midX = $this->x + $lean * 0.12 + $bend;
            $path = 'M'.Pen::at($this->x - $half, $this->y).'Q'.Pen::at($midX - $half, $midY).' '.Pen::at($tipX, $tipY)
                .'Q'.Pen::at($midX + $half, $midY).' '.Pen::at($this->x + $half, $this->y).'Z';
            $this->foliage->leaf(0 === $n % 4 ? $look->young : $look->colour, $path);
        }
    }

    /** Fine leaves, thick at the foot. */
    private function tuft(): void
    {
        $look = $this->kind->look;
        $count = (int) $look->leaves->value;
        $isFine = $look->width->value < 0.2;
        $half = max(0.6, 0.5 * $look->width->value * $this->cm);
        for ($n = 0; $n < $count; ++$n) {
            $turn = 2 * ($n + 0.5) / $count - 1;
            $footX = $this->x + 2 * $turn;
            $tipX = $footX + $turn * $this->height * ($isFine ? 0.35 : 0.6) + $this->pen->between(-1, 1);
            $tipY = $this->y - $this->height * (1 - 0.3 * $turn * $turn) * $this->pen->between(0.75, 1.0);
            $colour = 0 === $n % 4 ? $look->young : $look->colour;
            $isFine
                ? $this->foliage->hair($colour, Pen::curve($footX, $this->y, $footX, $this->y - 0.6 * $this->height, $tipX, $tipY))
                : $this->foliage->leaf($colour, Pen::leaf($footX, $this->y, $tipX, $tipY, 2 * $half));
        }
    }
}
