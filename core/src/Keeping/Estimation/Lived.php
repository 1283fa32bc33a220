<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Trace;

/** One tank of an estimate, run from its day of filling to some weeks ahead. */
final readonly class Lived
{
    /**
     * @param Plan $actual as the log says that it went
     * @param Plan $varied the same with this tank's own light, food and soil, as it was run
     */
    public function __construct(public Plan $actual, public Plan $varied, public Parameters $parameters, public Trace $trace)
    {
    }
}
