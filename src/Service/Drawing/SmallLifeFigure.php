<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Animal\BodyForm;

/** Worms, polyps and water insects. */
final class SmallLifeFigure extends AnimalFigure
{
    protected function one(): void
    {
        match ($this->kind->look->form) {
            BodyForm::Planarian => $this->planarian(),
            BodyForm::Polyp => $this->polyp(),
            BodyForm::Boatman, BodyForm::Backswimmer => $this->rower(BodyForm::Backswimmer === $this->kind->look->form),
            BodyForm::Beetle => $this->beetle(),
            default => $this->thread(),
        };
    }

    private function thread(): void
    {
        $this->body($this->path('M-10 1Q-5 -4 0 0Q5 4 10 -1L10 0.4Q5 5.6 0 1.4Q-5 -2.6 -10 2Z'));
    }

    /** A flat worm with an arrow for a head. */
    private function planarian(): void
    {
        $this->body($this->path('M10 0L7.6 -2L6 -3.2L5.6 -1.6Q-2 -3 -10 0Q-2 3 5.6 1.6L6 3.2L7.6 2Z'));
        $this->eye(7.4, -0.8, 0.5);
        $this->eye(7.4, 0.8, 0.5);
    }

    /** A stalk with a crown of arms. */
    private function polyp(): void
    {
        $this->body($this->path('M-1 10L-0.8 -2L0.8 -2L1 10Z'));
        foreach ([-9, -5, 0, 5, 9] as $x) {
            $this->line($this->path(\sprintf('M0 -2Q%s -5 %s %s', 0.7 * $x, $x, -9 + abs($x) * 0.5)));
        }
    }

    /** @param bool $upturned backswimmers row belly up */
    private function rower(bool $upturned): void
    {
        $up = $upturned ? -1 : 1;
        $this->body($this->path('M10 0Q6 -4 -4 -3L-10 0Q-2 2.2 10 0Z', $up));
        $this->line($this->path('M1 1L-2 6L-7 8M4 1L5 4', $up));
        $this->mark($this->path('M4 -2L-6 -1.6L-6 -0.8L4 -1Z', $up));
        $this->eye(8.4, -0.4 * $up);
    }

    private function beetle(): void
    {
        $this->body($this->disc(-1, 0, 8, 4.6).$this->disc(7.4, 0, 2.6, 2.6));
        $this->line($this->path('M-9 0L5 0M3 4L5 7M-2 4.4L-3 7.4M-6 3.6L-9 6'));
    }
}
