<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** A share of the water is changed. */
#[Happens('water change', About::Water, done: '%s of the water changed', disturbsWater: true)]
#[LogButton('Water changed', 'water', 1)]
final readonly class WaterChange extends Dated
{
    public function __construct(
        int $day,
        #[Number('share', Dimension::Share, 0.01, 1.0, 'of the water', decimals: 0, usual: 0.3)] public float $share,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->changeWater($this->share);
    }
}
