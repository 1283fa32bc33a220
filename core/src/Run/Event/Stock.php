<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** More animals of a group of the plan come, g wet (negative: some are given away, never more than there are). */
final readonly class Stock extends Dated
{
    public function __construct(int $on, private int $group, private float $grams)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $grams = max($this->grams, -$state->animals[$this->group]);
        $state->animals[$this->group] += $grams;
        $state->heads[$this->group] = max(0.0, $state->heads[$this->group] + $grams / $facts->plan->groups[$this->group]->kind->grams->value);
        $books->add($grams * Books::ANIMAL_NITROGEN, $grams * Books::ANIMAL_PHOSPHORUS, $grams * Books::ANIMAL_POTASSIUM, $grams * Books::ANIMAL_IRON, $grams * Books::ANIMAL_CARBON);
    }
}
