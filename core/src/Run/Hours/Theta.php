<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Hours;

/**
 * The θ-scheme for a store that is filled and drawn at once, dS/dt = in − k·S over one step:
 *
 *     S' = (S·(1 − (1 − θ)k) + in) / (1 + θk),   drawn = k·(θS' + (1 − θ)S)
 *
 * θ = ½ (Crank–Nicolson, second order) where a step draws less than twice the store, else 1 − 1/k, at which the first bracket is just 0:
 * nothing
 * turns negative, and what was drawn is exactly what is missing. P: Hundsdorfer & Verwer (2003), Numerical Solution of Time-Dependent
 * Advection–Diffusion–Reaction Equations, I.4 (M).
 *
 * @internal
 */
final class Theta
{
    /** Stores that a step may draw before the scheme leans to its end. */
    private const STIFF = 2.0;

    /** @param float $k share of the store that a step would draw, 0 or more */
    public static function of(float $k): float
    {
        return $k > self::STIFF ? 1 - 1 / $k : 0.5;
    }

    /** What the store holds after the step. */
    public static function after(float $store, float $in, float $k, float $theta): float
    {
        $after = ($store * (1 - (1 - $theta) * $k) + $in) / (1 + $theta * $k);

        return $after > 0.0 ? $after : 0.0;
    }

    /** The store that the step drew from: k of it is gone. */
    public static function drawn(float $before, float $after, float $theta): float
    {
        return $theta * $after + (1 - $theta) * $before;
    }
}
