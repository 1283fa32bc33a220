<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** A share of a clump is cut and taken out. */
#[Happens('trim', About::Plant, done: '%s of %s cut back')]
#[LogButton('Cut: %s', 'plants', 1, 'Thinned: %s')]
final readonly class Trim extends Dated
{
    public function __construct(
        int $day,
        public string $clump,
        #[Number('share', Dimension::Share, 0.01, 1.0, 'of the clump', decimals: 0, usual: 0.4)] public float $share,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->cut($this->clump, $this->share);
    }
}
