<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** Where a view's metres lie in its drawing: heights upward from the floor, widths from the left wall. */
final readonly class Frame
{
    /**
     * @param float $left  of the vessel's inside, in drawing units
     * @param float $floor of its inside
     * @param float $scale drawing units per metre
     */
    public function __construct(public float $left, public float $floor, public float $scale)
    {
    }

    public function x(float $metres): float
    {
        return $this->left + $metres * $this->scale;
    }

    public function y(float $metres): float
    {
        return $this->floor - $metres * $this->scale;
    }

    /**
     * @param list<array{float, float}> $points m from the left, m above the floor
     *
     * @return list<array{float, float}>
     */
    public function placed(array $points): array
    {
        return array_map(fn (array $p): array => [$this->x($p[0]), $this->y($p[1])], $points);
    }
}
