<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/** One number that decides a tank: what its margin comes to where the number is low and where it is high, all else being likely. */
final readonly class Bar
{
    /**
     * @param string $dimension  as the ensemble names it
     * @param string $words      what it is
     * @param string $low        the margin as shown where it is lower than in all but a tenth of tanks
     * @param string $high       the same where it is higher
     * @param string $measurable how a keeper could measure it; empty where nobody can at home
     * @param float  $from       the margin's measure where it is lower
     * @param float  $to         and where it is higher
     */
    public function __construct(
        public string $dimension,
        public string $words,
        public string $low,
        public string $high,
        public string $measurable,
        public float $from,
        public float $to,
    ) {
    }
}
