<?php

declare(strict_types=1);

namespace Olvek\Core\Water;

/** The water a tank is filled and topped up with. */
final readonly class SourceWater
{
    /** Of an ordinary supply, where nobody looked: share of hardness; mg/L; mg S/L. M (0.6–0.95; 5–100; 3–40). */
    public const CALCIUM = 0.75;
    public const CHLORIDE = 25.0;
    public const SULPHATE = 10.0;

    /**
     * @param float $pH      as measured after standing a day
     * @param float $kh      carbonate hardness, °dH
     * @param float $gh      general hardness, °dH
     * @param float $nitrate mg N/L (element, not ion)
     * @param float $phosphate mg P/L; 0 where nobody measured: what an ordinary supply holds, little in rain
     * @param float $sodium  mg/L; softened water holds its hardness as this
     * @param float $calcium share (0–1) of the general hardness that is calcium, the rest being magnesium
     * @param float $chloride mg/L
     * @param float $sulphate mg S/L
     */
    public function __construct(
        public float $pH = 7.4,
        public float $kh = 6.0,
        public float $gh = 9.0,
        public float $nitrate = 1.0,
        public float $phosphate = 0.0,
        public float $sodium = 0.0,
        public float $calcium = self::CALCIUM,
        public float $chloride = self::CHLORIDE,
        public float $sulphate = self::SULPHATE,
    ) {
    }

    /** The same water by another test. */
    public function with(float $kh, float $gh, float $nitrate): self
    {
        return new self($this->pH, $kh, $gh, $nitrate, $this->phosphate, $this->sodium, $this->calcium, $this->chloride, $this->sulphate);
    }
}
