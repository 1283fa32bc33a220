<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

use Olvek\Core\Keeping\Estimation\Quantity;

/** What is drawn of tanks that are compared, over each other. */
final class Curves
{
    /** @return list<Quantity> */
    public static function all(): array
    {
        return [
            Quantity::Oxygen,
            Quantity::Ammonia,
            Quantity::Nitrite,
            Quantity::Nitrate,
            Quantity::Phosphate,
            Quantity::Acidity,
            Quantity::CarbonDioxide,
            Quantity::Temperature,
            Quantity::Plants,
            Quantity::Cover,
            Quantity::Film,
            Quantity::Animals,
        ];
    }
}
