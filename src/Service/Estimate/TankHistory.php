<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Log\TankState;
use Olvek\Service\Tank\Revision;

/** A tank that was filled, as it stands in its plan and its logbook today. */
final readonly class TankHistory
{
    public Log $log;

    /** @param int $day after filling */
    public function __construct(
        public \DateTimeImmutable $filled,
        public int $day,
        public Revision $revision,
        public Plan $plan,
        public TankState $state,
    ) {
        $this->log = $state->log;
    }

    /** False of a tank that is older than a run is long: what it holds cannot be estimated, nor tried. */
    public function isRun(): bool
    {
        return $this->day < Plan::LAST_DAY;
    }
}
