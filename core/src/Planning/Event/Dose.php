<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Ammonium (as chloride) is dosed, as much as makes so many mg N/L in the free water. */
#[Happens('ammonia dosed', About::Water, done: 'Ammonia dosed, %s', disturbsWater: true)]
#[LogButton('Ammonia dosed', 'water', 4)]
final readonly class Dose extends Dated
{
    public function __construct(
        int $day,
        #[Number('ammonia as N', Dimension::Concentration, 0.0, 20.0, 'of N as ammonium', decimals: 2, usual: 2.0),]
        public float $milligramsPerLitre,
    ) {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->doseAmmonium($this->milligramsPerLitre);
    }
}
