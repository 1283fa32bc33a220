<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Animal\BodyForm;
use Olvek\Core\Nature\Animal\Coat;
use Olvek\Core\Nature\Animal\CoatPattern;
use Olvek\Core\Nature\Animal\TailForm;

/** Fish by the depth of their body, their fins, their tail and their marks. */
final class FishFigure extends AnimalFigure
{
    protected function one(): void
    {
        $look = $this->kind->look;
        $half = $this->half();
        $finned = CoatPattern::Fins === $look->pattern ? $look->second : $look->coat;
        if (BodyForm::Eel === $look->form) {
            $this->body($this->path('M10 0Q5 -2.6 0 -0.4T-10 -0.6L-10 1Q-4 4 0 1.6T10 0Z'));
        } else {
            $this->tail($half, CoatPattern::Tail === $look->pattern && TailForm::Veil === $look->tail ? $look->second : $finned);
            $this->fins($half, $finned);
            $this->torso($half);
        }
        $this->pattern($half);
        $this->eye(7.2, -0.5, min(1.1, 0.28 * $half));
    }

    /** Half the depth of the body. */
    private function half(): float
    {
        return match ($this->kind->look->form) {
            BodyForm::Deep => 4.0,
            BodyForm::Tall => 4.4,
            BodyForm::Puffer => 4.8,
            BodyForm::Catfish => 3.4,
            BodyForm::Sucker, BodyForm::Flat => 2.5,
            BodyForm::Eel => 1.2,
            default => 2.7,
        };
    }

    private function torso(float $half): void
    {
        // Those that live on the bed have a flat belly.
        $belly = \in_array($this->kind->look->form, [BodyForm::Catfish, BodyForm::Sucker, BodyForm::Flat], true) ? 0.55 : 1.0;
        $front = BodyForm::Puffer === $this->kind->look->form ? 8.5 : 4.5;
        $this->body($this->path("M10 0Q$front -1.9 -6 -0.3L-6 0.3Q$front ".Pen::n(1.9 * $belly).' 10 0Z', $half));
        if (BodyForm::Catfish === $this->kind->look->form && $this->isLarge()) {
            $this->line($this->path('M9.6 0.8L10.6 2.6M9 1L9.4 2.8'));
        }
    }

    private function tail(float $half, Coat $coat): void
    {
        $wide = max(2.4, 0.9 * $half);
        $this->body($this->path(match ($this->kind->look->tail) {
            TailForm::Veil => 'M-5 0Q-7 -1.9 -12 -1.9Q-14 0 -12 1.9Q-7 1.9 -5 0Z',
            TailForm::Round => 'M-5 -0.3Q-8 -1 -10 -0.8Q-11 0 -10 0.8Q-8 1 -5 0.3Z',
            TailForm::Lyre => 'M-5 0Q-7 -1 -12.5 -1.4Q-9 -0.3 -9.5 0Q-9 0.3 -12.5 1.4Q-7 1 -5 0Z',
            TailForm::Sword => 'M-5 -0.2L-9.5 -1L-9 0.5L-14.5 1.3L-8.6 1L-5 0.2Z',
            TailForm::Point => 'M-5 -0.3Q-8 -0.8 -12 0Q-8 0.8 -5 0.3Z',
            default => 'M-5 0L-10 -1L-8.6 0L-10 1Z',
        }, $wide), $coat);
    }

    private function fins(float $half, Coat $coat): void
    {
        $sail = match (true) {
            BodyForm::Tall === $this->kind->look->form => 1.0,
            TailForm::Lyre === $this->kind->look->tail => 0.8,
            default => 0.55,
        };
        $top = Pen::n(0.8 + $sail);
        $this->body($this->path("M2.5 -0.8L-1.5 -{$top}L-3.5 -0.36Z", $half), $coat);
        // The other way around than the fin above, so that it is no hole where it overlaps the body.
        $this->body($this->path("M-4 0.32L-3 {$top}L0.5 0.56Z", $half), $coat);
    }

    private function pattern(float $half): void
    {
        $this->mark(match ($this->kind->look->pattern) {
            CoatPattern::Stripe => $this->path('M9 0Q1 -0.5 -6.5 0Q1 0.5 9 0Z', $half),
            CoatPattern::Stripes => $this->path(
                'M8 -0.38Q1 -0.68 -6 -0.38Q1 -0.08 8 -0.38ZM8.6 0.05Q1 -0.25 -6.5 0.05Q1 0.35 8.6 0.05Z'
                .'M7.4 0.48Q1 0.18 -5.5 0.48Q1 0.78 7.4 0.48Z',
                $half,
            ),
            CoatPattern::Bars => $this->path(
                'M4.5 -0.6L5.5 -0.6L5.5 0.6L4.5 0.6ZM1.5 -0.7L2.5 -0.7L2.5 0.7L1.5 0.7Z'
                .'M-1.5 -0.55L-0.5 -0.55L-0.5 0.55L-1.5 0.55ZM-4.4 -0.35L-3.6 -0.35L-3.6 0.35L-4.4 0.35Z',
                $half,
            ),
            CoatPattern::Lower => $this->path('M9 0.1L-6 0.1L-6 0.3Q4.5 1.75 9 0.1Z', $half),
            CoatPattern::Hind => $this->path('M2 0.1L-6.4 0L-6 0.3Q-1 0.95 2 0.75Z', $half),
            CoatPattern::Front => $this->path('M9.6 0.15L2 0.12L1 0.8Q6 1.1 9.6 0.15Z', $half),
            CoatPattern::Tail => TailForm::Veil === $this->kind->look->tail ? '' : $this->disc(-6.2, 0, 1.3),
            CoatPattern::Spots => $this->spots($half, [[5, -0.5], [2.5, 0.35], [0, -0.4], [-2, 0.25], [4.6, 0.4], [-4, -0.1]], 0.6),
            CoatPattern::Blotches => $this->spots($half, [[3.6, -0.1], [-2, 0], [-5.6, 0]], 1.2),
            CoatPattern::Panda => $this->spots($half, [[7, -0.1], [1, -0.85], [-5.4, 0]], 1.7),
            CoatPattern::Wedge => $this->path('M2.5 -0.5L2.5 0.5L-6.5 0.1Z', $half),
            default => '',
        });
    }

    /** @param list<array{float|int, float|int}> $places */
    private function spots(float $half, array $places, float $radius): string
    {
        return implode('', array_map(fn (array $place): string => $this->disc($place[0], $place[1] * $half, $radius), $places));
    }
}
