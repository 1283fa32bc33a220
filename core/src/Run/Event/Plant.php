<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** More of a clump is planted, g dry. */
final readonly class Plant extends Dated
{
    public function __construct(int $on, private int $clump, private float $grams)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $state->plantedOn[$this->clump] = (float) $day;
        $state->plantedMass[$this->clump] = $this->grams;
        $books->in($state->plant($facts->parameters, $this->clump, $this->grams));
    }
}
