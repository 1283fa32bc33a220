<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** A share (0–1) of the mulm, melted leaves among it, is taken out. */
final readonly class MulmOut extends Dated
{
    public function __construct(int $on, private float $share)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $g = $this->share;
        $books->add(-$g * $state->mulmNitrogen, -$g * $state->mulmPhosphorus, -$g * $state->mulmPotassium, -$g * $state->mulmIron, -$g * $state->mulmCarbon);
        $state->mulmNitrogen *= 1 - $g;
        $state->mulmPhosphorus *= 1 - $g;
        $state->mulmPotassium *= 1 - $g;
        $state->mulmIron *= 1 - $g;
        $state->mulmCarbon *= 1 - $g;
    }
}
