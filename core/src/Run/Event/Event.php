<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Something that happens to a tank. What it takes out or puts in goes through the books. */
interface Event
{
    /** Whether it happens on a day (from 0, filling): on its date, or because the tank has come to a point. */
    public function due(int $day, State $state, Facts $facts): bool;

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void;
}
