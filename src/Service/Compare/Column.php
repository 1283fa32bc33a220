<?php

declare(strict_types=1);

namespace Olvek\Service\Compare;

use Olvek\Core\Judgement\Compare\Difference;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Tank\Tank;

/** One of the things that are compared, with its plan and what it comes to. */
final readonly class Column
{
    /**
     * @param string $name  "Waiting hall, version 7"
     * @param Plan   $plan  as it is compared: of a tank as it has gone, as it went
     * @param Plan   $drawn whose parts can be taken over
     * @param list<Difference> $gone what its logbook has beside its plan, of a tank as it has gone
     */
    public function __construct(
        public Thing $thing,
        public Tank $tank,
        public string $name,
        public Plan $plan,
        public Plan $drawn,
        public Compared $compared,
        public array $gone,
    ) {
    }
}
