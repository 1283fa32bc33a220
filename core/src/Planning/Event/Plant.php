<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** More of a clump is planted. */
#[Happens('more of a plant', About::Plant, done: '%s more of %s planted', asPlanned: true)]
#[LogButton('Added: %s', 'plants', 2)]
final readonly class Plant extends Dated
{
    public function __construct(
        int $day,
        public string $clump,
        #[Number('pieces', Dimension::Count, 1, self::MOST_PIECES, decimals: 0, usual: 5)] public int $pieces,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->plant($this->clump, $this->pieces);
    }
}
