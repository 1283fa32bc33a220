<?php

declare(strict_types=1);

namespace Olvek\Service\Weeks;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Service\Work\Job;

/** A part of what lies ahead of a tank. */
final readonly class ForecastJob implements Job
{
    /**
     * @param string $plan its document
     * @param int    $part 0 to Forecasts::PARTS − 1; the first learns from the readings
     */
    public function __construct(public string $plan, public Log $log, public int $today, public int $part)
    {
    }

    public function key(): string
    {
        return implode('.', ['forecast', $this->part, $this->today, hash('xxh128', serialize([$this->plan, $this->log]))]);
    }

    public function cost(): int
    {
        return 3;
    }
}
