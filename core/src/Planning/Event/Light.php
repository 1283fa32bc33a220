<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** From now on the lamp is on for other hours and at another share of its strength. */
#[Happens('other light', About::Light, done: 'Lamp from now on %s a day', asPlanned: true)]
#[LogButton('Lamp from now on', 'tank', 1)]
final readonly class Light extends Dated
{
    public function __construct(
        int $day,
        #[Number('hours of light', Dimension::Duration, 0.0, 24.0, 'a day', decimals: 2, usual: 6.0)]
        public float $hours,
        #[Number('strength', Dimension::Share, 0.0, 5.0, '1 as planned', decimals: 0, usual: 1.0)]
        public float $strength = 1.0,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->lightFromNowOn($this->hours, $this->strength);
    }
}
