<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

/** What a keeper can buy and has already: of each material bag sizes, prices, litres on hand; of all else what it costs. */
final readonly class Shop
{
    /**
     * @param array<string, float> $bags   litres in a bag
     * @param array<string, float> $prices of a bag
     * @param array<string, float> $have   litres on hand
     * @param array<string, float> $costs  of other lines of the list, in all, by their ids
     */
    public function __construct(public array $bags = [], public array $prices = [], public array $have = [], public array $costs = [])
    {
    }
}
