<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** Liquid fertiliser is given: mg/L of nitrogen (as nitrate, with potassium for its charge), phosphorus, potassium and iron. */
final readonly class Fertilise extends Dated
{
    public function __construct(int $on, private float $nitrogen, private float $phosphorus, private float $potassium, private float $iron)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        self::give($state, $books, $this->nitrogen, $this->phosphorus, $this->potassium, $this->iron);
    }

    /** mg/L of each into what water there is. */
    public static function give(State $state, Books $books, float $nitrogen, float $phosphorus, float $potassium, float $iron): void
    {
        $v = $state->volume;
        $state->nitrate += $nitrogen * $v;
        $state->phosphorus += $phosphorus * $v;
        $state->potassium += $potassium * $v;
        $state->iron += $iron * $v;
        $books->salt($nitrogen * $v);
        $books->add($nitrogen * $v, $phosphorus * $v, $potassium * $v, $iron * $v, 0.0);
    }
}
