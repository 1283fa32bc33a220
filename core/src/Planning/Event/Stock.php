<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** More animals of a group come. */
#[Happens('more animals', About::Animal, done: '%s came', asPlanned: true)]
#[LogButton('Came: %s', 'animals', 2)]
final readonly class Stock extends Dated
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
        $tank->stock($this->group, $this->count);
    }
}
