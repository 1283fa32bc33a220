<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/** Nitrogen moving from one store of the ledger to another. */
final readonly class Flow
{
    /**
     * @param float  $amount mg N per day, not negative
     * @param string $through the clump's id or the process; for reading
     */
    public function __construct(public string $from, public string $to, public float $amount, public string $through)
    {
    }
}
