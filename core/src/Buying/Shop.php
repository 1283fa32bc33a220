<?php

declare(strict_types=1);

namespace Olvek\Core\Buying;

/** What a keeper can buy and has already, by material: bag sizes, prices, litres on hand. */
final readonly class Shop
{
    /**
     * @param array<string, float> $bags   litres in a bag
     * @param array<string, float> $prices of a bag
     * @param array<string, float> $have   litres on hand
     */
    public function __construct(public array $bags = [], public array $prices = [], public array $have = [])
    {
    }
}
