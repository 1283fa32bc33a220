<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Nobody feeds, tops up, thins or trims for some days. */
#[Happens('holiday, nobody there', About::Stretch, asPlanned: true)]
final readonly class Holiday extends Dated
{
    public function __construct(
        int $day,
        #[Number('for days', Dimension::Count, 1, self::LAST_DAY, decimals: 0, usual: 14)] public int $days,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->aloneUntil($day + $this->days);
    }
}
