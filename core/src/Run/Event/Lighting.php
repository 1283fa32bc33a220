<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** From now on the lamp burns for other hours and at another share of its strength. */
final readonly class Lighting extends Dated
{
    public function __construct(int $on, private float $hours, private float $share = 1.0)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $conditions->lightHours = $this->hours;
        $conditions->lightShare = $this->share;
    }
}
