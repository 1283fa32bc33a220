<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** A clump is taken out, roots and all. */
#[Happens('plant removed', About::Plant, done: '%2$s taken out', asPlanned: true)]
#[LogButton('Taken out or given away: %s', 'plants', 3)]
final readonly class Remove extends Dated
{
    public function __construct(int $day, public string $clump)
    {
        parent::__construct($day);
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->cut($this->clump, 1.0);
    }
}
