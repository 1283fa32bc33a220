<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

/** Water changes, gas and liquid fertiliser, if any. */
final readonly class Care
{
    /**
     * @param float $changeShare share of the water changed each time, 0–1
     * @param int   $changeEvery days between changes; 0 for never
     * @param float $gas         mg/L of carbon dioxide to which gas is let in while the lamp burns; 0 for none
     * @param float $trickle     mg of carbon dioxide a day that a bottle of yeast lets in, day and night
     * @param float $nitrogen    mg N/L (as nitrate) given with liquid fertiliser each week
     * @param float $phosphorus  mg P/L, likewise
     * @param float $potassium   mg K/L, likewise
     * @param float $iron        mg Fe/L, likewise
     */
    public function __construct(
        public float $changeShare,
        public int $changeEvery,
        public float $gas = 0.0,
        public float $trickle = 0.0,
        public float $nitrogen = 0.0,
        public float $phosphorus = 0.0,
        public float $potassium = 0.0,
        public float $iron = 0.0,
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
