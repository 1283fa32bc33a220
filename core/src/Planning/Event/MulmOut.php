<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** A share of what lies on the bed, melted leaves and left food among it, is taken out. */
#[Happens('mulm and dying leaves removed', About::Water, done: 'Mulm and dying leaves removed', asPlanned: true)]
#[LogButton('Mulm siphoned', 'water', 2)]
final readonly class MulmOut extends Dated
{
    public function __construct(
        int $day,
        #[Number('share', Dimension::Share, 0.01, 1.0, 'of it', decimals: 0, usual: 0.3)] public float $share,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->removeMulm($this->share);
    }
}
