<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** Something else that was asked for, in words only. */
#[Happens('task', About::Stretch, planned: false, done: 'Done')]
final readonly class Task extends Dated
{
    public function happen(int $day, Tank $tank): void
    {
        // A look, a test, a note: nothing in the water changes.
    }
}
