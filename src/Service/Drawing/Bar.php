<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** One stretch of a ledger row. */
final readonly class Bar
{
    public function __construct(
        public string $label,
        public float $amount,
        public string $shown,
        public string $class,
        public float $x,
        public float $width,
    ) {
    }
}
