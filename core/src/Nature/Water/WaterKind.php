<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

use Olvek\Core\Basis\Unit\Estimate;

/** A kind of water that a tank may be filled or topped up with. */
final readonly class WaterKind
{
    /**
     * @param Estimate $kh      °dH
     * @param Estimate $gh      °dH
     * @param Estimate $nitrate mg N/L
     * @param Estimate $phosphate mg P/L; 0 where it varies too much to say
     * @param Estimate $sodium  mg/L
     * @param Estimate $calcium share of the general hardness that is calcium
     * @param Estimate $chloride mg/L
     * @param Estimate $sulphate mg S/L
     */
    public function __construct(
        public string $id,
        public string $name,
        public Estimate $pH,
        public Estimate $kh,
        public Estimate $gh,
        public Estimate $nitrate,
        public Estimate $phosphate,
        public Estimate $sodium,
        public Estimate $calcium,
        public Estimate $chloride,
        public Estimate $sulphate,
        public string $remarks,
    ) {
    }

    public function likely(): SourceWater
    {
        return new SourceWater(
            $this->pH->value,
            $this->kh->value,
            $this->gh->value,
            $this->nitrate->value,
            $this->phosphate->value,
            $this->sodium->value,
            $this->calcium->value,
            $this->chloride->value,
            $this->sulphate->value,
        );
    }
}
