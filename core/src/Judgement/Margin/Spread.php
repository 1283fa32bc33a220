<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/** How sure a margin is: where its measure lies in eight of ten tanks whose uncertain numbers differ, and in how many it holds. */
final readonly class Spread
{
    /**
     * @param float $low   10th percentile of the measure
     * @param float $high  90th percentile
     * @param int   $holds members in which the margin does not fail
     * @param int   $of    members run
     */
    public function __construct(public float $low, public float $high, public int $holds, public int $of)
    {
    }

    /** Of the members, those in which it holds, whole percent. */
    public function percent(): int
    {
        return (int) round(100 * $this->holds / $this->of);
    }
}
