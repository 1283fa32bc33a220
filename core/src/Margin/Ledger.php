<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

/**
 * A day's nitrogen account, mg N per day, in double entry: every flow leaves one store and enters another.
 *
 * Stores outside the tank ("food", "drain") only give or only take.
 */
final readonly class Ledger
{
    /** Stores, in the order in which nitrogen moves through the tank. */
    public const STORES = ['food', 'animals', 'mulm', 'soil', 'ammonia', 'plants', 'nitrate', 'air', 'drain', 'tap'];

    /**
     * @param list<Flow> $flows
     * @param float      $ammonia       mg TAN-N/L at which uptake meets supply; the ceiling where it cannot
     * @param float      $nitrate       mg N/L towards which nitrate tends
     * @param float      $supply        mg N/d that reaches the water as ammonia
     * @param float      $capacity      mg N/d that could be taken up at the safe concentration
     * @param float      $safe          mg TAN-N/L taken as safe
     * @param float      $unionised     share of total ammonia that is NH3
     * @param bool       $keepsUp       false where ammonia would rise without end
     */
    public function __construct(
        public float $day,
        public array $flows,
        public float $ammonia,
        public float $nitrate,
        public float $supply,
        public float $capacity,
        public float $safe,
        public float $unionised,
        public bool $keepsUp,
    ) {
    }

    /** mg N/d that a store gains (negative: loses). */
    public function change(string $store): float
    {
        $sum = 0.0;
        foreach ($this->flows as $flow) {
            $sum += ($flow->to === $store ? $flow->amount : 0.0) - ($flow->from === $store ? $flow->amount : 0.0);
        }

        return $sum;
    }

    /** mg N/d along a kind of flow. */
    public function along(string $from, string $to): float
    {
        return array_sum(array_map(static fn (Flow $f): float => $f->from === $from && $f->to === $to ? $f->amount : 0.0, $this->flows));
    }
}
