<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Ion;

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
        #[Number('pH', Dimension::Acidity, 4.0, 10.0, 'as measured after standing a day', decimals: 2, required: true),]
        public float $pH = 7.4,
        #[Number('carbonate hardness', Dimension::Hardness, 0.0, 40.0, '°dH', required: true)] public float $kh = 6.0,
        #[Number('general hardness', Dimension::Hardness, 0.0, 60.0, '°dH', required: true)] public float $gh = 9.0,
        #[Number(
            'nitrate in it, as NO₃',
            Dimension::Concentration,
            0.0,
            50.0,
            'mg N/L (the element, not the ion)',
            ion: Ion::Nitrate,
            required: true,
        ),]
        public float $nitrate = 1.0,
        #[Number(
            'phosphate in it, as PO₄ (0: unknown)',
            Dimension::Concentration,
            0.0,
            10.0,
            'mg P/L (the element); 0: unknown, what an ordinary supply holds',
            decimals: 2,
            ion: Ion::Phosphate,
        ),]
        public float $phosphate = 0.0,
        #[Number('sodium', Dimension::Concentration, 0.0, 500.0, 'mg/L', decimals: 0)] public float $sodium = 0.0,
        #[Number(
            'calcium’s share of the hardness',
            Dimension::Share,
            0.0,
            1.0,
            'share of the general hardness that is calcium',
            decimals: 0,
        ),]
        public float $calcium = self::CALCIUM,
        #[Number('chloride', Dimension::Concentration, 0.0, 500.0, 'mg/L', decimals: 0)] public float $chloride = self::CHLORIDE,
        #[Number('sulphate, as SO₄', Dimension::Concentration, 0.0, 200.0, 'mg S/L (the element)', decimals: 0, ion: Ion::Sulphate),]
        public float $sulphate = self::SULPHATE,
    ) {
    }

    /** The same water by another test. */
    public function with(float $kh, float $gh, float $nitrate): self
    {
        return new self($this->pH, $kh, $gh, $nitrate, $this->phosphate, $this->sodium, $this->calcium, $this->chloride, $this->sulphate);
    }
}
