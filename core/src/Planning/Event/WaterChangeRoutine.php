<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** From now on water is changed as often as this says, whatever the plan said before. */
#[Happens('water changes from now on', About::Water)]
final readonly class WaterChangeRoutine extends Dated
{
    public function __construct(
        int $day,
        #[Number('every', Dimension::Count, 0, 730, 'days; 0: never', decimals: 0, usual: 14)] public int $every,
        #[Number('share', Dimension::Share, 0.0, 1.0, 'of the water', decimals: 0, usual: 0.3)] public float $share = 0.3,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->changeFromNowOn($this->every, $this->share);
    }
}
