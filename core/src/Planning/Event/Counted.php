<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Animals of a group were counted: from now on there are as many, born or gone without anybody having seen it. */
#[Happens('animals counted', About::Animal, planned: false, task: false)]
final readonly class Counted extends Dated
{
    public function __construct(
        int $day,
        public string $group,
        #[Number('number', Dimension::Count, 0, self::MOST_ANIMALS, 'of animals', decimals: 0)] public int $count,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->counted($this->group, $this->count);
    }
}
