<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\Provenance;

/** How low and how high a parameter may well be, and where that is from. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final readonly class Range
{
    public function __construct(public float $low, public float $high, public Provenance $provenance)
    {
    }
}
