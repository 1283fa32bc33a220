<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/** Water changes, gas and liquid fertiliser, if any. */
final readonly class Care
{
    /**
     * @param float $changeShare share of the water changed each time, 0–1
     * @param int   $changeEvery days between changes; 0 for never
     * @param float $gas         mg/L of carbon dioxide to which gas is let in while the lamp is on; 0 for none
     * @param float $trickle     mg of carbon dioxide a day that a bottle of yeast lets in, day and night
     * @param float $nitrogen    mg N/L (as nitrate) given with liquid fertiliser each week
     * @param float $phosphorus  mg P/L, likewise
     * @param float $potassium   mg K/L, likewise
     * @param float $iron        mg Fe/L, likewise
     */
    public function __construct(
        #[Number('water changed each time', Dimension::Share, 0.0, 1.0, 'share of the water changed each time', decimals: 0),]
        public float $changeShare,
        #[Number('days between changes (0: never)', Dimension::Count, 0, 730, 'days between changes; 0: never', decimals: 0),]
        public int $changeEvery,
        #[Number(
            'CO₂ gas held by day (0: none)',
            Dimension::Concentration,
            0.0,
            60.0,
            'mg/L of carbon dioxide to which gas is let in while the lamp is on',
            decimals: 0,
        ),]
        public float $gas = 0.0,
        #[Number(
            'CO₂ of a yeast bottle, mg a day',
            Dimension::Count,
            0.0,
            20000.0,
            'mg of carbon dioxide a day that a bottle of yeast lets in',
            decimals: 0,
        ),]
        public float $trickle = 0.0,
        #[Number(
            'weekly fertiliser: nitrogen',
            Dimension::Concentration,
            0.0,
            20.0,
            'mg N/L of liquid fertiliser each week',
            decimals: 2,
        ),]
        public float $nitrogen = 0.0,
        #[Number('phosphorus', Dimension::Concentration, 0.0, 5.0, 'mg P/L, likewise', decimals: 3)] public float $phosphorus = 0.0,
        #[Number('potassium', Dimension::Concentration, 0.0, 50.0, 'mg K/L, likewise')] public float $potassium = 0.0,
        #[Number('iron', Dimension::Concentration, 0.0, 2.0, 'mg Fe/L, likewise', decimals: 3)] public float $iron = 0.0,
    ) {
    }

    /** Whether anything is fertilised. */
    public function fertilises(): bool
    {
        return $this->nitrogen + $this->phosphorus + $this->potassium + $this->iron > 0;
    }

    /** Share of the water replaced per day, on average. */
    public function dailyShare(): float
    {
        return 0 === $this->changeEvery ? 0.0 : $this->changeShare / $this->changeEvery;
    }
}
