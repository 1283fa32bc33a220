<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Field;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Nature\Light\Aspect;

/** A part that no plan has, with a field of each sort, to see that describing is all it takes. */
final readonly class Outlet
{
    public function __construct(
        #[Number('height of the overflow', Dimension::Length, 0.1, 0.5, 'm over the bottom', decimals: 1, us: Unit::Inch)]
        public float $height,
        #[Number('slots', Dimension::Count, 1, 9, 'in its comb', decimals: 0)]
        public int $slots = 3,
        #[YesNo('snail guard', 'fitted', 'none', 'keeps snails in', when: 'isOpen')]
        public bool $guarded = false,
        #[OneOf('faces', 'where it looks')]
        public Aspect $faces = Aspect::North,
    ) {
    }

    public function isOpen(): bool
    {
        return $this->slots > 1;
    }
}
