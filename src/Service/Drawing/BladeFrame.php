<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** Where the parts of a leaf lie: along it from its foot to its tip, and across it. */
final readonly class BladeFrame
{
    public float $length;

    /** @param float $width of the whole leaf at its broadest */
    public function __construct(public float $x, public float $y, public float $tipX, public float $tipY, public float $width)
    {
        $this->length = max(0.01, hypot($tipX - $x, $tipY - $y));
    }

    /**
     * @param float $along  share of the length
     * @param float $across −1 to 1: share of half the width
     *
     * @return array{float, float}
     */
    public function point(float $along, float $across): array
    {
        $dx = ($this->tipX - $this->x) / $this->length;
        $dy = ($this->tipY - $this->y) / $this->length;
        $far = $along * $this->length;
        $off = $across * $this->width / 2;

        return [$this->x + $dx * $far - $dy * $off, $this->y + $dy * $far + $dx * $off];
    }

    public function at(float $along, float $across): string
    {
        return Pen::at(...$this->point($along, $across));
    }
}
