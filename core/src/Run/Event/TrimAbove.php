<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Whenever the rooted and drifting plants under water pass a mass (g dry per m² of floor), all are cut back to another. */
final readonly class TrimAbove implements Event
{
    public function __construct(private float $above, private float $to)
    {
    }

    public function due(int $day, State $state, Facts $facts): bool
    {
        return self::density($state, $facts) > $this->above;
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $share = 1 - $this->to / self::density($state, $facts);
        foreach ($facts->plan->clumps as $i => $clump) {
            if (!$clump->kind->role->hasLeavesInAir()) {
                Cutting::take($state, $facts, $books, $i, $share);
            }
        }
    }

    private static function density(State $s, Facts $facts): float
    {
        $grams = 0.0;
        foreach ($facts->plan->clumps as $i => $clump) {
            $grams += $clump->kind->role->hasLeavesInAir() ? 0.0 : $s->biomass[$i];
        }

        return $grams / $facts->floor;
    }
}
