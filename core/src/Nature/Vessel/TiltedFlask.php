<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;

/** A round flask set at a tilt, its mouth to one side: it holds water up to the lowest point of the lip. */
final readonly class TiltedFlask extends Spherical
{
    /**
     * @param float $diameter m, outside
     * @param float $lip      m from the lowest point of the outside up to the lowest point of the mouth
     * @param float $glass    m
     */
    public function __construct(float $diameter, public float $lip, float $glass)
    {
        parent::__construct($diameter, $glass);
    }

    public function shape(): VesselShape
    {
        return VesselShape::TiltedFlask;
    }

    public function measures(): array
    {
        return ['diameter' => $this->diameter, 'lip' => $this->lip, 'glass' => $this->thickness];
    }

    public function outerHeight(): float
    {
        return $this->diameter;
    }

    public function height(): float
    {
        return $this->lip - $this->thickness;
    }

    public function broken(): ?array
    {
        return $this->lip > 0.98 * $this->diameter || $this->lip < 0.3 * $this->diameter
            ? self::fault(
                'lip',
                fn (UnitSystem $u): string => \sprintf(
                    'The lowest point of the mouth must stand between %s and %s above the bottom of this flask.',
                    $u->show(Dimension::Length, 0.3 * $this->diameter),
                    $u->show(Dimension::Length, 0.98 * $this->diameter),
                ),
            )
            : null;
    }

    protected function centre(): float
    {
        return $this->radius();
    }
}
