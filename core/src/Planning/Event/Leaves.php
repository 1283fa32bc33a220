<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;

/** Dead leaves are laid in. */
#[Happens('dead leaves laid in', About::Plant, done: 'Dead leaves laid in, %s')]
#[LogButton('Dead leaves laid in', 'plants', 4)]
final readonly class Leaves extends Dated
{
    public function __construct(
        int $day,
        #[Number('amount', Dimension::Mass, 0.0, 10000.0, 'dry', decimals: 3, metric: Unit::Gram, us: Unit::Gram, usual: 2.0),]
        public float $grams,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->layLeaves($this->grams);
    }
}
