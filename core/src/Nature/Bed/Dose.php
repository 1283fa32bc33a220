<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Field\Item;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;

/** So much of an amendment in the whole bed. */
final readonly class Dose implements Item
{
    public function __construct(
        public Amendment $amendment,
        #[Number('amendment', Dimension::Mass, 0.001, 50000.0, 'g in the whole bed', metric: Unit::Gram, us: Unit::Ounce, at: '')]
        public float $grams,
    ) {
    }

    public function key(): string
    {
        return $this->amendment->id;
    }
}
