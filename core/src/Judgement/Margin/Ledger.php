<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Flow;
use Olvek\Core\Simulation\Run\FlowRecorder;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;

/**
 * A day's nitrogen account as the run kept it, mg N per day, in double entry: every flow leaves one store and enters another.
 *
 * Stores outside the tank only give or only take.
 */
final readonly class Ledger
{
    /**
     * Stores, in the order in which nitrogen moves through the tank.
     *
     * @api
     */
    public const STORES = ['food', 'animals', 'mulm', 'soil', 'ammonia', 'plants', 'algae', 'nitrate', 'air', 'drain', 'tap'];

    /**
     * @param list<Flow>           $flows
     * @param array<string, float> $before mg N held by each store within the tank before the day
     * @param array<string, float> $after  and after it
     * @param float                $ammonia mg N/L, the day's highest
     * @param float                $nitrate mg N/L at the day's end
     */
    private function __construct(
        public int $day,
        public array $flows,
        public array $before,
        public array $after,
        public float $ammonia,
        public float $nitrate,
    ) {
    }

    /** Runs the plan up to a day, with the care that keepers usually give, and draws up that day's account. */
    public static function onDay(Plan $plan, int $day, Parameters $parameters = new Parameters()): self
    {
        $tally = new FlowRecorder($day);
        $trace = (new Runner($plan, $parameters))->run($day + 1, UsualCare::events(), tally: $tally);

        return new self(
            $day,
            $tally->flows,
            $tally->before,
            $tally->after,
            $trace->columns['ammonia'][$day],
            $trace->columns['nitrate'][$day],
        );
    }

    /** mg N/d that a store gains by the flows (negative: loses). */
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
