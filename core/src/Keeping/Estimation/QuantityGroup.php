<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

/** Under which heading a quantity stands on a page of the tank as it is. */
enum QuantityGroup: string
{
    case Nutrients = 'Waste and food';
    case Chemistry = 'Air, minerals, warmth';
    case Life = 'Life';

    /** @return list<Quantity> in the order of their cases */
    public function quantities(): array
    {
        return array_values(array_filter(Quantity::cases(), fn (Quantity $quantity): bool => $this === $quantity->group()));
    }
}
