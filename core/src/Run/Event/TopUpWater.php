<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\PouredWater;
use Olvek\Core\Run\State;
use Olvek\Core\Water\SourceWater;

/** From a day on, evaporation is made up with another water. */
final readonly class TopUpWater extends Dated
{
    public function __construct(int $on, private SourceWater $water)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $conditions->topUp = PouredWater::of($this->water, $facts->plan->site->temperature);
    }
}
