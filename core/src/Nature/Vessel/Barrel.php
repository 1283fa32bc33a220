<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** Half a cask, cut at the belly: staves in a parabola, upright at the rim. */
final readonly class Barrel extends Flared
{
    public function shape(): VesselShape
    {
        return VesselShape::Barrel;
    }

    /** D − (D−d) (1 − z/H)². */
    public function lengthAt(float $height): float
    {
        return $this->length() - ($this->length() - $this->footInside()) * (1 - $height / $this->height()) ** 2;
    }

    /** π/4 ∫ (D − Δu²)² dz, u = 1 − z/H, term by term. */
    public function volumeBelow(float $height): float
    {
        $wide = $this->length();
        $delta = $wide - $this->footInside();
        $whole = $this->height();
        $integral = static fn (float $u): float => $wide ** 2 * $u - 2 * $wide * $delta * $u ** 3 / 3 + $delta ** 2 * $u ** 5 / 5;

        return 1000 * \M_PI / 4 * $whole * ($integral(1.0) - $integral(1 - $height / $whole));
    }

    protected function wallDensity(): float
    {
        // kg per L of seasoned oak. M (0.6–0.75).
        return 0.7;
    }
}
