<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Whenever floaters cover more than one share of the surface, they are thinned to another. */
final readonly class ThinFloaters implements Event
{
    public function __construct(private float $above, private float $to)
    {
    }

    public function due(int $day, State $state, Facts $facts): bool
    {
        return self::cover($state, $facts) > $this->above;
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $share = 1 - $this->to / self::cover($state, $facts);
        foreach ($facts->plan->clumps as $i => $clump) {
            if ($clump->kind->role->coversSurface()) {
                Cutting::take($state, $facts, $books, $i, $share);
            }
        }
    }

    private static function cover(State $s, Facts $facts): float
    {
        $mat = 0.0;
        foreach ($facts->plan->clumps as $i => $clump) {
            $mat += $clump->kind->role->coversSurface() ? $s->biomass[$i] / $clump->kind->mat->value : 0.0;
        }

        return $mat / $facts->surface;
    }
}
