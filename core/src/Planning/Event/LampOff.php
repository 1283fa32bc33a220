<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** The lamp fails for some days. */
#[Happens('lamp off', About::Light, task: false)]
final readonly class LampOff extends Dated
{
    public function __construct(
        int $day,
        #[Number('for days', Dimension::Count, 1, self::LAST_DAY, decimals: 0, usual: 3)] public int $days,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->lampOffUntil($day + $this->days);
    }
}
