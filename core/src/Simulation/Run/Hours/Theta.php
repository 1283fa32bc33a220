<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

/**
 * The θ-scheme for a store S that is filled and drawn at once, dS/dt = in − k·S over one step. What is drawn is k times the store between
 * its ends, S̄ = θS' + (1 − θ)S, and with S' = S + in − k·S̄:
 *
 *     S̄ = (S + θ·in) / (1 + θk)
 *
 * θ = ½ (Crank–Nicolson, second order) where a step draws less than twice the store, else 1 − 1/k, at which all that was there is drawn and
 * nothing turns negative. P: Hundsdorfer & Verwer (2003), Numerical Solution of Time-Dependent Advection–Diffusion–Reaction Equations, I.4
 * (M).
 *
 * One call a store: calls are what an hour's step is made of.
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

    /** The store that the step draws from: k of it goes. */
    public static function between(float $store, float $in, float $k): float
    {
        $theta = $k > self::STIFF ? 1 - 1 / $k : 0.5;

        return ($store + $theta * $in) / (1 + $theta * $k);
    }
}
