<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** A share (0–1) of a clump is cut and taken out. */
final readonly class Trim extends Dated
{
    public function __construct(int $on, private int $clump, private float $share)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        Cutting::take($state, $facts, $books, $this->clump, $this->share);
    }
}
