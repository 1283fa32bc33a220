<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** A strip of the year chart with its own scale. */
final readonly class Band
{
    /**
     * @param list<Curve> $curves
     * @param list<array{y: float, words: string}> $limits
     */
    public function __construct(
        public string $name,
        public string $top,
        public float $y,
        public float $height,
        public array $curves,
        public array $limits,
    ) {
    }
}
