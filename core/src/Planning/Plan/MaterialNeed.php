<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Nature\Bed\Material;

/** How much of one bed material a plan takes. */
final readonly class MaterialNeed
{
    /**
     * @param float $litres as laid
     * @param float $kilograms dry
     */
    public function __construct(public Material $material, public float $litres, public float $kilograms)
    {
    }

    /**
     * Whole bags to buy.
     *
     * @param float $bag litres in a bag
     *
     * @throws \InvalidArgumentException when a bag holds nothing
     */
    public function bags(float $bag): int
    {
        if ($bag <= 0) {
            throw new \InvalidArgumentException('a bag must hold more than nothing');
        }

        return (int) ceil($this->litres / $bag - 1e-9);
    }
}
