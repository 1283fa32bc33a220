<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** A garden tub: a cone cut off above and below. */
final readonly class Tub extends Flared
{
    public function shape(): VesselShape
    {
        return VesselShape::Tub;
    }

    public function lengthAt(float $height): float
    {
        return $this->footInside() + ($this->length() - $this->footInside()) * $height / $this->height();
    }

    /** V = π h (d² + d D + D²)/12 with the widths below and above. */
    public function volumeBelow(float $height): float
    {
        $below = $this->footInside();
        $above = $this->lengthAt($height);

        return 1000 * \M_PI * $height * ($below ** 2 + $below * $above + $above ** 2) / 12;
    }

    protected function wallDensity(): float
    {
        // kg per L of polyethylene. P: ISO 17855, 0.93–0.97.
        return 0.95;
    }
}
