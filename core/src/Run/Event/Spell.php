<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Some days are warmer (or colder) by so many °C. */
final readonly class Spell extends Dated
{
    public function __construct(int $on, private int $days, private float $degrees)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $conditions->spell = $this->degrees;
        $conditions->spellUntil = $day + $this->days;
    }
}
