<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;
use Olvek\Core\Run\WaterKeeping;

/** A share (0–1) of the water is changed. */
final readonly class Change extends Dated
{
    public function __construct(int $on, private float $share)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        WaterKeeping::change($state, $facts, $books, $this->share, $conditions->change);
    }
}
