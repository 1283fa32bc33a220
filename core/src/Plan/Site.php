<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

/** Where the tank stands. */
final readonly class Site
{
    /** @param float $temperature °C of the water in an ordinary week */
    public function __construct(public float $temperature)
    {
    }
}
