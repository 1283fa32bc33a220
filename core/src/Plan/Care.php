<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

/** Water changes, if any. */
final readonly class Care
{
    /**
     * @param float $changeShare share of the water changed each time, 0–1
     * @param int   $changeEvery days between changes; 0 for never
     */
    public function __construct(public float $changeShare, public int $changeEvery)
    {
    }

    /** Share of the water replaced per day, on average. */
    public function dailyShare(): float
    {
        return 0 === $this->changeEvery ? 0.0 : $this->changeShare / $this->changeEvery;
    }
}
