<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Section;
use Olvek\Core\Nature\Water\SourceWater;

/** From a day on, evaporation is made up with another water. */
#[Happens('other top-up water', About::Water, planned: false)]
final readonly class TopUpWater extends Dated
{
    public function __construct(int $day, #[Section('')] public SourceWater $water)
    {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->topUpWith($this->water);
    }
}
