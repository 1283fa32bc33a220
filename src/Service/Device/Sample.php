<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

/** One line of a water probe. */
final readonly class Sample
{
    /**
     * @param float $level        m of water over the bottom
     * @param float $conductivity µS/cm
     */
    public function __construct(
        public \DateTimeImmutable $at,
        public float $celsius,
        public float $level,
        public float $pH,
        public float $conductivity,
    ) {
    }
}
