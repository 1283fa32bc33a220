<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** Somebody looked whether algae show: what they saw, not what the run thinks, decides the lamp’s next step. */
#[Happens('algae looked for', About::Plant, planned: false)]
final readonly class AlgaeSeen extends Dated
{
    public function __construct(int $day, public bool $show)
    {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->sawAlgae($this->show);
    }
}
