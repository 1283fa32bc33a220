<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Planning\Plan\Plan;

/** A tank that runs already, as its keeper tells of it. */
final readonly class RunningTank
{
    /**
     * @param Plan                  $plan     with all that lives in it
     * @param list<TakenIn>         $plants   in the order of the plan's last clumps
     * @param list<TakenIn>         $animals  in the order of its last groups
     * @param array<string, string> $readings by measure, as typed in the keeper's own units
     */
    public function __construct(
        public Plan $plan,
        public \DateTimeImmutable $filled,
        public array $plants,
        public array $animals,
        public array $readings,
    ) {
    }
}
