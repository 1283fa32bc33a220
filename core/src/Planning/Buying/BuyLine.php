<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Nature\Bed\Material;

/** One bed material on the build sheet. */
final readonly class BuyLine
{
    /**
     * @param float          $laid        litres as laid
     * @param float          $needed      litres with what settles, spills and is rinsed away
     * @param float          $toBuy       litres still to buy
     * @param float          $kilograms   dry, of what is needed
     * @param int|null       $bags        to buy, where the bag's size is known
     * @param float|null     $cost        of those, where their price is known
     * @param list<Material> $substitutes nearest to it in what they hold
     */
    public function __construct(
        public Material $material,
        public float $laid,
        public float $needed,
        public float $toBuy,
        public float $kilograms,
        public ?int $bags,
        public ?float $cost,
        public array $substitutes,
    ) {
    }
}
