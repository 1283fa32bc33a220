<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\Matter;
use Olvek\Core\Run\State;

/** A share (0–1) of a group dies and is left in the tank. */
final readonly class Deaths extends Dated
{
    public function __construct(int $on, private int $group, private float $share)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $grams = $this->share * $state->animals[$this->group];
        $state->animals[$this->group] -= $grams;
        $state->heads[$this->group] *= 1 - $this->share;
        $state->scraps->add(Matter::animal($grams));
    }
}
