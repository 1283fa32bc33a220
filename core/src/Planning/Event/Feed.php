<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;

/** From now on another amount of food is given. */
#[Happens(
    'other amount of food',
    About::Animal,
    done: 'Fed from now on, %s a day',
    none: 'Feeding stopped',
    asPlanned: true,
)]
#[LogButton('Food a day from now on', 'animals', 1)]
final readonly class Feed extends Dated
{
    public function __construct(
        int $day,
        #[Number(
            'dry food a day',
            Dimension::Mass,
            0.0,
            1000.0,
            'dry, a day from now on',
            decimals: 3,
            metric: Unit::Gram,
            us: Unit::Gram,
            usual: 0.1,
        ),]
        public float $grams,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->feedFromNowOn($this->grams);
    }
}
