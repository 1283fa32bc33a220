<?php

declare(strict_types=1);

namespace Olvek\Core\Bed;

use Olvek\Core\Field\Item;
use Olvek\Core\Field\Number;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\Unit;

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
