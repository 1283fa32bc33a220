<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Animal\BodyForm;
use Olvek\Core\Nature\Animal\CoatPattern;

/** Shrimp, crayfish, crabs and their small kin. */
final class CrustaceanFigure extends AnimalFigure
{
    protected function one(): void
    {
        match ($this->kind->look->form) {
            BodyForm::Crab => $this->crab(),
            BodyForm::Crayfish => $this->shrimp(true),
            BodyForm::Flea => $this->flea(),
            BodyForm::Seed => $this->seed(),
            BodyForm::Copepod => $this->copepod(),
            BodyForm::Scud, BodyForm::Louse => $this->arched(),
            default => $this->shrimp(false),
        };
    }

    private function shrimp(bool $claws): void
    {
        $this->body($this->path('M10 0.2L6 -1.2Q1 -4.6 -4 -2.6Q-8 -0.8 -9.4 3L-11 5L-7 4.4Q-5 1.6 -1 1.8L5 2Z'));
        $legs = '';
        foreach ([-4.4, -2.4, -0.2, 1.8, 3.8] as $n => $x) {
            $legs .= $this->path($n < 2 ? 'M0 1.8L-0.8 4.6' : 'M0 1.8L0.8 4.6', dx: $x);
        }
        $this->line($legs.$this->path('M8.4 -0.6Q13 -4 15 -3M8.6 0Q13 0 15.5 2'));
        if ($claws) {
            foreach ([-1, 2] as $y) {
                $this->body($this->path('M6 1L11 0Q14 -2 16 0L13 0.4L15.4 1.6Q12.6 2 10.6 1Z', dy: $y));
            }
        }
        $this->mark(match ($this->kind->look->pattern) {
            CoatPattern::Bars => $this->band(4.6).$this->band(0.4).$this->band(-4),
            CoatPattern::Spots => $this->disc(3, -0.4, 0.6).$this->disc(0, -1.2, 0.6).$this->disc(-3, -0.8, 0.6).$this->disc(-6, 0.4, 0.55),
            CoatPattern::Stripe => $this->path('M8 -1Q1 -4.4 -6 -2Q0 -3 8 -0.4Z'),
            default => '',
        });
        $this->eye(7.4, -1.2, 0.75);
    }

    private function band(float $x): string
    {
        return $this->path('M-1 -2.6L1 -2.5L0.8 1.8L-0.8 1.8Z', dx: $x);
    }

    private function crab(): void
    {
        $legs = '';
        foreach ([-1, 1] as $side) {
            foreach ([2, 4, 6] as $n) {
                $legs .= $this->path(\sprintf(
                    'M%s 0L%s %sL%s %s',
                    3 * $side,
                    (5 + $n * 0.8) * $side,
                    -3 + $n,
                    (4 + $n) * $side,
                    2 + $n * 0.6,
                ));
            }
        }
        $this->line($legs);
        $this->body($this->disc(0, 0, 5, 4));
        $this->eye(1.6, -3.4);
        $this->eye(-1.6, -3.4);
    }

    /** A water flea: a round shell with an eye and rowing arms. */
    private function flea(): void
    {
        $this->body($this->path('M6 -5Q10 -1 6 4Q0 9 -6 5L-11 7L-7 2Q-5 -7 6 -5Z'));
        $this->line($this->path('M5 -4L2 -9L-2 -10.5M2 -9L3 -12'));
        $this->mark($this->disc(-1, 1.5, 2.6, 2));
        $this->eye(5.8, -2.4, 1.1);
    }

    private function seed(): void
    {
        $this->body($this->disc(0, 0, 8, 5));
        $this->mark($this->path('M-3 -4.6L0 -4.8L1 4.6L-1.6 4.6Z'));
        $this->line($this->path('M7 -1L11 -4M6 3L9 5.4'));
    }

    /** A drop with long feelers and a forked tail. */
    private function copepod(): void
    {
        $this->body($this->path('M8 0Q5 -4.4 -2 -2L-8 -0.5L-8 0.5L-2 2Q5 4.4 8 0Z'));
        $this->line($this->path('M7 -1Q6 -7 0 -8M7 1Q6 7 0 8M-8 0L-12 -2M-8 0L-12 2'));
    }

    /** Scuds are arched and narrow, water lice flat. */
    private function arched(): void
    {
        $isScud = BodyForm::Scud === $this->kind->look->form;
        $this->body($this->path($isScud ? 'M9 2Q4 -7 -4 -3.6Q-9 0 -9 4Q-4 1.4 0 2Z' : 'M9 2Q4 -4 -4 -2.4Q-9 0 -9 4Q-4 1.4 0 2Z'));
        $legs = '';
        foreach ([-6, -4, -2, 0, 2, 4, 6] as $x) {
            $legs .= $this->path('M0 1.6L-0.6 5', dx: $x);
        }
        $this->line($legs.$this->path('M8.6 1.4L13 -1.4M8.6 1.8L13 3'));
        $this->eye(7, 0.4, 0.7);
    }
}
