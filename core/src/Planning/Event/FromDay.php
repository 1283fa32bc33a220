<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** What a keeper does whenever the tank has come to a point, from a day on only: what was done before was written down. */
final readonly class FromDay implements Event
{
    /** @param int $from first day on which it may happen */
    public function __construct(private Event $event, private int $from)
    {
    }

    public function due(int $day, Tank $tank): bool
    {
        return $day >= $this->from && $this->event->due($day, $tank);
    }

    public function happen(int $day, Tank $tank): void
    {
        $this->event->happen($day, $tank);
    }
}
