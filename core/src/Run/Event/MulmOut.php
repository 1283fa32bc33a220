<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** A share (0–1) of what lies on the bed, melted leaves and left food among it, is taken out. */
final readonly class MulmOut extends Dated
{
    public function __construct(int $on, private float $share)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        foreach ([$state->scraps, $state->droppings, $state->litter] as $store) {
            $books->out($store->take($this->share));
        }
    }
}
