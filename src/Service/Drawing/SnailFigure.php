<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Animal\BodyForm;
use Olvek\Core\Nature\Animal\Coat;
use Olvek\Core\Nature\Animal\CoatPattern;

/** Snails by their shell. */
final class SnailFigure extends AnimalFigure
{
    protected function one(): void
    {
        $this->body($this->path('M-8 6.4Q-2 3 7 4L10 3.4Q11 6 8 6.4Z'), Coat::Olive);
        $this->line($this->path('M9.4 3.8L11.4 1.4'));
        match ($this->kind->look->form) {
            BodyForm::Disc => $this->coil(),
            BodyForm::Cone, BodyForm::Pointed => $this->spire(BodyForm::Cone === $this->kind->look->form),
            default => $this->globe(),
        };
    }

    /** A flat coil, seen from its side. */
    private function coil(): void
    {
        $this->body($this->disc(-0.5, -1.4, 6.6));
        $this->line($this->path('M5.4 -1Q5 4 -1 3.4Q-5.6 2.6 -5 -2Q-4 -5.6 0 -4.8Q3 -3.8 2.4 -1Q1.4 1 -0.6 0.4'));
    }

    /** @param bool $slim long and many turns, else short and wide at the mouth */
    private function spire(bool $slim): void
    {
        $wide = $slim ? 3.6 : 5.2;
        $tip = $slim ? -13 : -10;
        $mouth = Pen::n(1.6 + 0.8 * $wide);
        $this->body($this->path("M$tip -4.5L3 -{$mouth}Q8 0 5 4.4Q-1 5.4 $tip -4.5Z"));
        $turns = $slim ? [0.25, 0.45, 0.62, 0.8] : [0.35, 0.65];
        foreach ($turns as $t) {
            $x = $tip + (3 - $tip) * $t;
            $this->line($this->path(\sprintf('M0 %.2FL1.4 %.2F', -4.5 + (2.9 - 0.8 * $wide) * $t, -4.5 + 9.2 * $t), dx: $x));
        }
        $this->marks($slim ? [[-6, -2.6], [-1, -0.4], [3, 1.4]] : [[-3, -1], [1, 1], [4, -1]]);
    }

    private function globe(): void
    {
        $isDome = BodyForm::Dome === $this->kind->look->form || BodyForm::Horned === $this->kind->look->form;
        $this->body($isDome ? $this->path('M-8 4.6Q-7 -7 1 -6.4Q8 -5 7 4.6Z')
            : $this->path('M-7.6 1Q-8.4 -4 -5 -6Q4 -9 7 -1Q7 5 0 5Q-6 5 -7.6 1Z'));
        if (BodyForm::Horned === $this->kind->look->form) {
            foreach ([[-5, -4.6], [0, -6.4], [4.6, -4.8]] as [$x, $y]) {
                $this->line($this->path('M0 0L-1 -3.4', dx: $x, dy: $y));
            }
        }
        $this->line($this->path('M-6 -3.6Q-2.6 -3 -3.4 0'));
        $this->marks([[-3, -3], [1, -3.4], [3.6, 0.4], [-2, 2]]);
    }

    /** @param list<array{float|int, float|int}> $places */
    private function marks(array $places): void
    {
        foreach ($places as [$x, $y]) {
            $this->mark(match ($this->kind->look->pattern) {
                CoatPattern::Bars => $this->path('M-0.6 -2.2L0.6 -2.2L0.9 2.2L-0.3 2.2Z', dx: $x, dy: $y),
                CoatPattern::Spots => $this->disc($x, $y, 0.7),
                CoatPattern::Stripes => $this->path('M-2.2 0L2.2 -0.4L2.2 0.5L-2.2 0.8Z', dx: $x, dy: $y),
                default => '',
            });
        }
    }
}
