<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;

/** A round vessel that is narrower at its foot than at its mouth. */
abstract readonly class Flared extends Curved
{
    /**
     * @param float $diameter    m across the mouth, outside
     * @param float $foot        m across the foot, outside
     * @param float $outerHeight m
     * @param float $wall        m
     */
    public function __construct(public float $diameter, public float $foot, public float $outerHeight, float $wall)
    {
        parent::__construct($wall);
    }

    final public function measures(): array
    {
        return ['diameter' => $this->diameter, 'foot' => $this->foot, 'height' => $this->outerHeight, 'wall' => $this->thickness];
    }

    final public function outerLength(): float
    {
        return $this->diameter;
    }

    final public function outerWidth(): float
    {
        return $this->diameter;
    }

    final public function outerHeight(): float
    {
        return $this->outerHeight;
    }

    final public function length(): float
    {
        return $this->diameter - 2 * $this->thickness;
    }

    final public function width(): float
    {
        return $this->length();
    }

    final public function height(): float
    {
        return $this->outerHeight - $this->thickness;
    }

    final public function widthAt(float $height): float
    {
        return $this->lengthAt($height);
    }

    final public function footprint(): float
    {
        return (\M_PI / 4) * $this->foot ** 2;
    }

    final public function broken(): ?array
    {
        return $this->foot > $this->diameter + 1e-9
            ? self::fault(
                'foot',
                fn (UnitSystem $u): string => \sprintf(
                    'The foot cannot be wider than the mouth, which is %s across.',
                    $u->show(Dimension::Length, $this->diameter),
                ),
            )
            : null;
    }

    /** m inside, at the bottom. */
    final protected function footInside(): float
    {
        return $this->foot - 2 * $this->thickness;
    }

    final protected function hasRoundSections(): bool
    {
        return true;
    }
}
