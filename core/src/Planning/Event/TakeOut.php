<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Animals of a group are given away, never more than there are. */
#[Happens('animals given away', About::Animal, done: '%s given away', asPlanned: true)]
#[LogButton('Given away: %s', 'animals', 3)]
final readonly class TakeOut extends Dated
{
    public function __construct(
        int $day,
        public string $group,
        #[Number('number', Dimension::Count, 1, self::MOST_ANIMALS, 'of animals', decimals: 0, usual: 5)] public int $count,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->stock($this->group, -$this->count);
    }
}
