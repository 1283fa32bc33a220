<?php

declare(strict_types=1);

namespace Olvek\Service\Almanac;

use Olvek\Service\Tank\Tank;

/** One time at which a tank asks for something. */
final readonly class Due
{
    /**
     * @param string             $task  its id within the tank
     * @param \DateTimeImmutable $due   on which it falls by itself
     * @param \DateTimeImmutable $on    on which it is asked for: moved, or as it falls
     * @param int                $late  days since; 0 today or ahead
     * @param int                $every days from one time to the next; 0 for once
     * @param array<string, mixed> $asks what that page is asked
     * @param string             $way   route of the page where it is done; '' where it is just done
     */
    public function __construct(
        public Tank $tank,
        public string $task,
        public string $words,
        public \DateTimeImmutable $due,
        public \DateTimeImmutable $on,
        public int $late,
        public bool $moved,
        public string $way = '',
        public int $every = 0,
        public array $asks = [],
    ) {
    }

    /** Whether Olvek has read it of the tank by itself: it can be noted, and is not said again. */
    public function isNotice(): bool
    {
        return str_starts_with($this->task, Almanac::NOTICE);
    }

    /** The day that is proposed when it is put off: the one after it, never one that has gone by. */
    public function later(): \DateTimeImmutable
    {
        return $this->on->modify(\sprintf('+%d days', $this->late + 1));
    }

    /** Whether it lies ahead. */
    public function isAhead(\DateTimeImmutable $today): bool
    {
        return $this->on > $today;
    }
}
