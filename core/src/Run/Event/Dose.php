<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Ammonium (as chloride) is dosed: mg N/L in the free water. */
final readonly class Dose extends Dated
{
    public function __construct(int $on, private float $milligramsPerLitre)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $dose = $this->milligramsPerLitre * $state->volume;
        $state->ammonia += $dose;
        $books->nitrogen += $dose;
        $books->salt(-$dose);
    }
}
