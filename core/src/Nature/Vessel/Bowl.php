<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;

/** A bowl: a sphere cut flat below and open above. */
final readonly class Bowl extends Spherical
{
    /**
     * @param float $diameter    m, outside, at the widest
     * @param float $outerHeight m
     * @param float $mouth       m across the opening, outside; the whole diameter for half a sphere
     * @param float $glass       m
     */
    public function __construct(float $diameter, public float $outerHeight, public float $mouth, float $glass)
    {
        parent::__construct($diameter, $glass);
    }

    public function shape(): VesselShape
    {
        return VesselShape::Bowl;
    }

    public function measures(): array
    {
        return ['diameter' => $this->diameter, 'height' => $this->outerHeight, 'mouth' => $this->mouth, 'glass' => $this->thickness];
    }

    public function outerHeight(): float
    {
        return $this->outerHeight;
    }

    public function height(): float
    {
        return $this->outerHeight - $this->thickness;
    }

    public function broken(): ?array
    {
        if ($this->mouth > $this->diameter + 1e-9) {
            return self::fault(
                'mouth',
                fn (UnitSystem $u): string => \sprintf(
                    'The mouth cannot be wider than the bowl, which is %s at the widest.',
                    $u->show(Dimension::Length, $this->diameter),
                ),
            );
        }
        $above = $this->aboveCentre() + $this->thickness;
        $most = $above + $this->radius();
        if ($this->outerHeight > $most + 1e-6 || $this->outerHeight < $above + 0.1 * $this->radius()) {
            return self::fault(
                'height',
                fn (UnitSystem $u): string => \sprintf(
                    'A bowl of this width and mouth is between %s and %s high; measure again.',
                    $u->show(Dimension::Length, $above + 0.1 * $this->radius()),
                    $u->show(Dimension::Length, $most),
                ),
            );
        }

        return null;
    }

    protected function centre(): float
    {
        return $this->height() - $this->aboveCentre();
    }

    /** m from the centre up to the rim. */
    private function aboveCentre(): float
    {
        return sqrt(max(0.0, $this->radius() ** 2 - max(0.0, $this->mouth / 2 - $this->thickness) ** 2));
    }
}
