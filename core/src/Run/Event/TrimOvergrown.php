<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Whenever a clump other than floaters has grown to so many times its planted mass, it is cut back to another. */
final readonly class TrimOvergrown implements Event
{
    public function __construct(private float $above, private float $to)
    {
    }

    public function due(int $day, State $state, Facts $facts): bool
    {
        return [] !== $this->overgrown($state, $facts);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        foreach ($this->overgrown($state, $facts) as $i) {
            Cutting::take($state, $facts, $books, $i, 1 - $this->to * $state->plantedMass[$i] / $state->biomass[$i]);
        }
    }

    /** @return list<int> */
    private function overgrown(State $state, Facts $facts): array
    {
        $found = [];
        foreach ($facts->plan->clumps as $i => $clump) {
            if (!$clump->kind->role->coversSurface() && $state->biomass[$i] > $this->above * $state->plantedMass[$i]) {
                $found[] = $i;
            }
        }

        return $found;
    }
}
