<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Trace;

/** A plan and what its run came to: what every margin is judged from. */
final readonly class Outlook
{
    /** Day from which water must be fit where no animals are planned yet: about when they would come. C. */
    private const USUAL_STOCKING = 28;

    /** Days before which nobody asks whether plants are lit or fed: they are just settling. J. */
    public const SETTLING = 7;

    /** First day on which the water must be fit for animals. */
    public int $from;
    public bool $stocked;

    public function __construct(
        public Plan $plan,
        public Trace $trace,
        public UnitSystem $units,
        public Parameters $parameters = new Parameters(),
    ) {
        $first = $plan->firstAnimals();
        $this->stocked = null !== $first && $first < $trace->days();
        $this->from = min($trace->days() - 1, $first ?? self::USUAL_STOCKING);
    }

    public function lastDay(): int
    {
        return $this->trace->days() - 1;
    }
}
