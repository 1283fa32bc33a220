<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\Habit;
use Olvek\Core\Nature\Plant\LeafColour;
use Olvek\Core\Nature\Plant\LeafOutline;

/** What lies low: carpets that creep, mosses, liverworts and balls of algae. */
final readonly class LowFigure extends PlantFigure
{
    /** Half width of a cushion, and of what one plant of a carpet covers. */
    private const CUSHION = 15.0;
    private const CARPET = 10.0;
    private const LEAST = 2.8;

    protected function grow(): void
    {
        match ($this->kind->look->habit) {
            Habit::Cushion => $this->cushion(),
            Habit::Thallus => $this->thallus(),
            Habit::Ball => $this->ball(),
            default => $this->creep(),
        };
    }

    private function creep(): void
    {
        $look = $this->kind->look;
        $shoots = max(3, min(7, (int) $look->leaves->value));
        $size = max(self::LEAST, min($look->length->value * $this->cm * (1 - $look->stalk->value), 0.55 * $this->height + 2));
        $width = max(1.4, $size * min(1.0, $look->width->value / $look->length->value / max(0.1, 1 - $look->stalk->value)));
        $this->foliage->stalk(Pen::line($this->x - self::CARPET, $this->y - 0.8, $this->x + self::CARPET, $this->y - 0.8));
        for ($n = 0; $n < $shoots; ++$n) {
            $x = $this->x + self::CARPET * (2 * ($n + 0.5) / $shoots - 1) + $this->pen->between(-1, 1);
            $top = $this->y - max(3.0, $this->height) * $this->pen->between(0.5, 1.0);
            $this->foliage->stalk(Pen::line($x, $this->y, $x, $top));
            $single = \in_array($look->leaf, [LeafOutline::Clover, LeafOutline::Round], true) && $look->stalk->value > 0.5;
            if ($single) {
                $this->blade(0 === $n % 3)->draw($x, $top, $x + $this->pen->between(-1, 1), $top - 0.6 * $size, $width);
                continue;
            }
            foreach ([0.35, 0.7, 1.0] as $up) {
                $y = $this->y - ($this->y - $top) * $up;
                foreach ([-1, 1] as $side) {
                    $this->blade(1.0 === $up)->draw($x, $y, $x + $side * $size, $y - 0.4 * $size, $width);
                }
            }
            $this->blade(true)->draw($x, $top, $x, $top - 0.7 * $size, 0.8 * $width);
        }
    }

    /** A soft body, with strands that stand up, spread or hang as the kind's do. */
    private function cushion(): void
    {
        $look = $this->kind->look;
        $height = max(8.0, $this->height);
        $half = self::CUSHION;
        $body = 'M'.Pen::at($this->x - $half, $this->y).'Q'.Pen::at($this->x - $half, $this->y - $height).' '
            .Pen::at($this->x, $this->y - 0.72 * $height).'Q'.Pen::at($this->x + $half, $this->y - $height).' '
            .Pen::at($this->x + $half, $this->y).'Z';
        $this->foliage->leaf($look->colour, $body);
        $strands = min(16, (int) $look->leaves->value);
        $long = max(4.0, min($look->length->value * $this->cm, 1.2 * $height + 4));
        $width = max(2.4, $long * $this->slimness());
        for ($n = 0; $n < $strands; ++$n) {
            $turn = 2 * ($n + 0.5) / $strands - 1;
            $x = $this->x + $half * 0.85 * $turn;
            $y = $this->y - $height * (0.75 - 0.55 * $turn * $turn) * $this->pen->between(0.6, 1.0);
            [$dx, $dy] = match ($look->leaf) {
                LeafOutline::Flame => [$this->pen->between(-2, 2), -$long],
                LeafOutline::Droop => [0.6 * $long * ($turn < 0 ? -1 : 1), 0.55 * $long],
                LeafOutline::Fan => [0.35 * $long * $turn, -0.8 * $long],
                default => [0.75 * $long * $turn + $this->pen->between(-2, 2), -0.6 * $long],
            };
            (new Blade($this->foliage, $look->leaf, $look->margin, 0 === $n % 2 ? $look->young : self::shade($look->colour)))
                ->draw($x, $y, $x + $dx, min($this->y, $y + $dy), $width);
        }
    }

    /** A tone that shows on the body of its own colour. */
    private static function shade(LeafColour $colour): LeafColour
    {
        return match ($colour) {
            LeafColour::Deep => LeafColour::Dark,
            LeafColour::Bright => LeafColour::Deep,
            default => LeafColour::Mid,
        };
    }

    /** Lobes or forks without stem or root. */
    private function thallus(): void
    {
        $look = $this->kind->look;
        $count = (int) $look->leaves->value;
        $height = max(7.0, $this->height);
        $long = max(4.0, min($look->length->value * $this->cm, $height + 3));
        for ($n = 0; $n < $count; ++$n) {
            $turn = 2 * ($n + 0.5) / $count - 1;
            $x = $this->x + 0.8 * self::CUSHION * $turn;
            $y = $this->y - $height * $this->pen->between(0.05, 0.6) * (1 - 0.6 * abs($turn));
            $tipX = $x + 0.7 * $long * $turn + $this->pen->between(-3, 3);
            (new Blade($this->foliage, $look->leaf, $look->margin, 0 === $n % 3 ? $look->young : $look->colour))
                ->draw($x, $y, $tipX, $y - $long * $this->pen->between(0.45, 0.8), max(2.6, $long * $this->slimness()));
        }
    }

    private function ball(): void
    {
        $look = $this->kind->look;
        $radius = max(5.0, $this->height / 2);
        $this->foliage->leaf($look->colour, Pen::disc($this->x, $this->y - $radius, $radius, $radius));
        $fuzz = '';
        for ($n = 0; $n < 22; ++$n) {
            $turn = 2 * \M_PI * $n / 22;
            $fuzz .= Pen::line(
                $this->x + 0.75 * $radius * cos($turn),
                $this->y - $radius + 0.75 * $radius * sin($turn),
                $this->x + 1.12 * $radius * cos($turn),
                $this->y - $radius + 1.12 * $radius * sin($turn),
            );
        }
        $this->foliage->hair($look->young, $fuzz);
    }
}
