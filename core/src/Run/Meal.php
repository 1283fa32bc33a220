<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

/**
 * Something grazed: what it holds, mg (carbon, nitrogen, phosphorus, potassium, iron).
 *
 * @internal
 */
final readonly class Meal
{
    public function __construct(
        public float $carbon,
        public float $nitrogen,
        public float $phosphorus,
        public float $potassium,
        public float $iron,
    ) {
    }
}
