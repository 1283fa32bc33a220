<?php

declare(strict_types=1);

namespace Olvek\Core\Water;

/** The water a tank is filled and topped up with. */
final readonly class SourceWater
{
    /**
     * @param float $pH      as measured after standing a day
     * @param float $kh      carbonate hardness, °dH
     * @param float $gh      general hardness, °dH
     * @param float $nitrate mg N/L (element, not ion)
     * @param float $phosphate mg P/L; 0 where nobody measured: what an ordinary supply holds, little in rain
     * @param float $sodium  mg/L; softened water holds its hardness as this
     */
    public function __construct(
        public float $pH = 7.4,
        public float $kh = 6.0,
        public float $gh = 9.0,
        public float $nitrate = 1.0,
        public float $phosphate = 0.0,
        public float $sodium = 0.0,
    ) {
    }

    /** The same water by another test. */
    public function with(float $kh, float $gh, float $nitrate): self
    {
        return new self($this->pH, $kh, $gh, $nitrate, $this->phosphate, $this->sodium);
    }
}
