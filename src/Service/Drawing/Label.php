<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** A number or word in a drawing. */
final readonly class Label
{
    /** @param 'start'|'middle'|'end' $anchor */
    public function __construct(
        public float $x,
        public float $y,
        public string $text,
        public string $anchor = 'middle',
        public string $class = 'dim',
        public bool $upright = true,
    ) {
    }
}
