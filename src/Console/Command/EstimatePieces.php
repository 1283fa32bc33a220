<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Judgement\Standing\SimulatedTank;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Plan\Plan;

/** The tanks of an estimate, each run. */
final readonly class EstimatePieces implements Pieces
{
    /**
     * @param list<array<string, float>> $scores of the tanks' numbers
     * @param bool                       $whole  to the end of the days ahead
     * @param Plan|null                  $other  that differs in days to come
     */
    public function __construct(
        private Plan $plan,
        private Log $log,
        private int $today,
        private array $scores,
        private bool $whole,
        private ?Plan $other = null,
    ) {
    }

    public function piece(int $n): SimulatedTank
    {
        return SimulatedTank::run(new Estimator($this->plan, $this->log, $this->today), $this->scores[$n], $this->whole, $this->other);
    }
}
