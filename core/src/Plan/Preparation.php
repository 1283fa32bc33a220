<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

/** What is decided about readying soil, sand and water; it changes no sum, but forgetting it spoils a start. */
final readonly class Preparation
{
    /**
     * @param bool $rinsed sand and gravel are rinsed until the water runs clear
     * @param bool $sieved soil is sieved or picked over for wood and lumps
     * @param School|null $school whose recipe was taken last; much may have been changed since
     */
    public function __construct(
        public Treatment $treatment = Treatment::Undecided,
        public Filling $filling = Filling::Undecided,
        public bool $rinsed = false,
        public bool $sieved = false,
        public StartWay $way = StartWay::Undecided,
        public ?School $school = null,
    ) {
    }
}
