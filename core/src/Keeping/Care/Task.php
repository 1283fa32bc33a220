<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Care;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;

/** Something that a tank asks of its keeper, once or again and again. */
final readonly class Task
{
    /** Days before and after, within which what was logged is what was asked for. J. */
    private const NEAR = 7;

    /**
     * @param string   $id    names it for good within its tank
     * @param int      $day   after filling, of its first time
     * @param Message  $message what is to be done
     * @param int      $every days between its times; 0 for once
     * @param int|null $until last day on which it may fall; null for open end
     * @param bool     $start whether the gates of a start ask for it themselves, while there is one
     * @param LoggedEvent|null $does what the logbook has once it is done; null where that changes nothing that it counts
     */
    public function __construct(
        public string $id,
        public int $day,
        public Message $message,
        public int $every = 0,
        public ?int $until = null,
        public bool $start = false,
        public ?LoggedEvent $does = null,
    ) {
    }

    /** Whether the logbook says that it was done around a day on which it falls, whatever the page on which that was written down. */
    public function isDone(Log $log, int $due): bool
    {
        $near = 0 === $this->every ? self::NEAR : max(1, min(self::NEAR, intdiv($this->every, 2)));
        foreach (null === $this->does ? [] : $log->of($this->does->kind, $this->does->of) as $logged) {
            if (abs($logged->day - $due) <= $near) {
                return true;
            }
        }

        return false;
    }

    /**
     * The days on which it falls, of those that a keeper is asked about: once, or of what comes again the last time that has come and the
     * next.
     *
     * @return list<int> after filling
     */
    public function around(int $today): array
    {
        if (0 === $this->every) {
            return [$this->day];
        }
        $last = $this->day + $this->every * intdiv(max(0, $today - $this->day), $this->every);

        return array_values(
            array_filter([$last, $last + $this->every], fn (int $day): bool => null === $this->until || $day <= $this->until),
        );
    }

    /** When it falls. */
    public function when(): Message
    {
        return match (true) {
            0 === $this->every => new Message('when.once', ['day' => $this->day]),
            null === $this->until => new Message('when.from', ['every' => $this->every, 'day' => $this->day]),
            default => new Message('when.until', ['every' => $this->every, 'day' => $this->day, 'until' => $this->until]),
        };
    }
}
