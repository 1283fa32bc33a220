<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** A share of a group dies and is left in the tank. */
#[Happens('deaths', About::Animal, planned: false, task: false)]
final readonly class Deaths extends Dated
{
    public function __construct(
        int $day,
        public string $group,
        #[Number('share', Dimension::Share, 0.0, 1.0, 'of the group', decimals: 0, usual: 0.1)] public float $share,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->die($this->group, $this->share);
    }
}
