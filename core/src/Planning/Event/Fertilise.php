<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Liquid fertiliser is given, nitrogen as nitrate. Usual amounts, C: a lean week’s dose. */
#[Happens(
    'liquid fertiliser given',
    About::Water,
    done: 'Liquid fertiliser given, nitrogen %s',
    asPlanned: true,
    disturbsWater: true,
)]
#[LogButton('Liquid fertiliser', 'water', 3)]
final readonly class Fertilise extends Dated
{
    public function __construct(
        int $day,
        #[Number('nitrogen', Dimension::Concentration, 0.0, 20.0, 'as N of nitrate', decimals: 2, usual: 0.5)]
        public float $nitrogen,
        #[Number('phosphorus', Dimension::Concentration, 0.0, 5.0, 'as P', decimals: 3, usual: 0.05)]
        public float $phosphorus,
        #[Number('potassium', Dimension::Concentration, 0.0, 50.0, usual: 1.0)]
        public float $potassium,
        #[Number('iron', Dimension::Concentration, 0.0, 2.0, decimals: 3, usual: 0.05)]
        public float $iron,
    ) {
        parent::__construct($day);
    }

    /** A dose of which only the nitrogen is told: all else is in it as in a lean week's dose, since it comes from one bottle. J. */
    public static function ofBottle(int $day, float $nitrogen): self
    {
        $usual = array_map(static fn (Number $n): float => $n->usual, EventKind::Fertilise->values());
        $doses = $nitrogen / $usual['nitrogen'];

        return new self($day, $nitrogen, $usual['phosphorus'] * $doses, $usual['potassium'] * $doses, $usual['iron'] * $doses);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->fertilise($this->nitrogen, $this->phosphorus, $this->potassium, $this->iron);
    }
}
