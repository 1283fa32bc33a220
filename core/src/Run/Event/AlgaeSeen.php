<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Somebody looked whether algae show: what they saw, not what the run thinks, decides the lamp's next step. */
final readonly class AlgaeSeen extends Dated
{
    public function __construct(int $on, private bool $shows)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $conditions->algaeSeen = $this->shows;
    }
}
