<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Some days are warmer, or colder. */
#[Happens('warm or cold spell', About::Stretch, task: false)]
final readonly class Spell extends Dated
{
    public function __construct(
        int $day,
        #[Number('for days', Dimension::Count, 1, self::LAST_DAY, decimals: 0, usual: 5)]
        public int $days,
        #[Number('warmer by', Dimension::TemperatureDifference, -20.0, 20.0, '+ warmer, − colder', usual: 4.0)]
        public float $degrees,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->warmerUntil($day + $this->days, $this->degrees);
    }
}
