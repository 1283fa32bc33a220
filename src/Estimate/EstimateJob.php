<?php

declare(strict_types=1);

namespace Olvek\Estimate;

use Olvek\Work\Job;

/** A few of the tanks of an estimate, in one of its steps. */
final readonly class EstimateJob implements Job
{
    /**
     * @param string $tank its id
     * @param int    $head revision that stands
     * @param string $mark of the logbook
     * @param int    $day  today, after filling
     * @param int    $part 0 to Estimates::PARTS − 1; each needs those of the step before
     */
    public function __construct(
        public string $tank,
        public int $head,
        public string $mark,
        public int $day,
        public int $part,
    ) {
    }

    public function key(): string
    {
        return implode('.', ['estimate', $this->mark, $this->head, $this->day, $this->part]);
    }

    public function cost(): int
    {
        return 1;
    }
}
