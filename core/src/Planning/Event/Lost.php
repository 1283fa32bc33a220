<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Animals of a group were found dead and taken out, as a keeper counts them; what is not found stays in the tank (Deaths). */
#[Happens('dead animals taken out', About::Animal, planned: false, task: false, done: '%s died', asPlanned: true)]
#[LogButton('Died: %s', 'animals', 4)]
final readonly class Lost extends Dated
{
    public function __construct(
        int $day,
        public string $group,
        #[Number('number', Dimension::Count, 1, self::MOST_ANIMALS, 'of animals', decimals: 0, usual: 1)] public int $count,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->stock($this->group, -$this->count);
    }
}
