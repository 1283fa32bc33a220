<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Field\OneOf;
use Olvek\Core\Field\YesNo;

/** What is decided about readying soil, sand and water; it changes no sum, but forgetting it spoils a start. */
final readonly class Preparation
{
    /**
     * @param bool $rinsed sand and gravel are rinsed until the water runs clear
     * @param bool $sieved soil is sieved or picked over for wood and lumps
     * @param Method|null $method whose recipe was taken last; much may have been changed since
     */
    public function __construct(
        #[OneOf('tap water', 'how tap water is treated')]
        public Treatment $treatment = Treatment::Undecided,
        #[OneOf('filled', 'how the water is let in')]
        public Filling $filling = Filling::Undecided,
        #[YesNo('sand and gravel before laying', 'rinsed clear', 'as bought', 'sand and gravel')]
        public bool $rinsed = false,
        #[YesNo('soil before laying', 'sieved, chips picked out', 'as bought', 'soil')]
        public bool $sieved = false,
        #[OneOf('way of starting', 'what feeds and seeds the first bacteria', at: '/start.way')]
        public StartWay $way = StartWay::Undecided,
        public ?Method $method = null,
    ) {
    }
}
