<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/**
 * Something that happens to a tank. One class is all that there is to say of a kind of event: its words and where it is met with
 * (Happens), its values with their bounds (Field\Number on public properties), whom it concerns ($clump or $group), and what it does.
 */
interface Event
{
    /** Whether it happens on a day (from 0, filling): on its date, or because the tank has come to a point. */
    public function due(int $day, Tank $tank): bool;

    public function happen(int $day, Tank $tank): void;
}
