<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Service\Work\Job;

/** A few of the tanks by which it is known how sure a plan's margins are. */
final readonly class BandJob implements Job
{
    /**
     * @param string $plan its document
     * @param int    $part 0 to Outcomes::PARTS − 1
     */
    public function __construct(public string $plan, public int $part)
    {
    }

    public function key(): string
    {
        return implode('.', ['band', $this->part, hash('xxh128', $this->plan)]);
    }

    public function cost(): int
    {
        return 1;
    }
}
