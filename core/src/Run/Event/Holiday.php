<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Nobody feeds, tops up, thins or trims for some days. */
final readonly class Holiday extends Dated
{
    public function __construct(int $on, private int $days)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $conditions->awayUntil = $day + $this->days;
    }
}
