<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Basis\Unit\Dimension;

/** What is decided about readying soil, sand, plants and water: forgetting it spoils a start. */
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
        public FillingMethod $filling = FillingMethod::Undecided,
        #[YesNo('sand and gravel before laying', 'rinsed clear', 'as bought', 'sand and gravel')]
        public bool $rinsed = false,
        #[YesNo('soil before laying', 'sieved, chips picked out', 'as bought', 'soil')]
        public bool $sieved = false,
        #[OneOf('way of starting', 'what feeds and seeds the first bacteria', at: '/start.way')]
        public StartWay $way = StartWay::Undecided,
        public ?Method $method = null,
        #[OneOf('planted', 'when the plants go in')]
        public PlantingOrder $order = PlantingOrder::PartFilled,
        #[Number('changed the day after filling', Dimension::Share, 0.0, 1.0, 'of the water, against cloud and ammonia', decimals: 0)]
        public float $firstChange = 0.0,
        #[Number('so often, every other day', Dimension::Count, 1, 14, 'from the day after filling', decimals: 0, when: 'changesAtFirst')]
        public int $firstChanges = 1,
    ) {
    }

    public function changesAtFirst(): bool
    {
        return $this->firstChange > 0;
    }

    /** Whether water is changed on a day of the first ones: the day after filling, then every other day. */
    public function changesOn(int $day): bool
    {
        return $this->changesAtFirst() && 1 === $day % 2 && $day < 2 * $this->firstChanges;
    }
}
