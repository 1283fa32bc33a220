<?php

declare(strict_types=1);

namespace Olvek\Core\Build;

/** Something that a tank asks of its keeper, once or again and again. */
final readonly class Task
{
    /**
     * @param string   $id    names it for good within its tank
     * @param int      $day   after filling, of its first time
     * @param int      $every days between its times; 0 for once
     * @param int|null $until last day on which it may fall; null for open end
     */
    public function __construct(public string $id, public int $day, public string $words, public int $every = 0, public ?int $until = null)
    {
    }

    /** "day 14", "every 7 days from day 14 to day 84". */
    public function when(): string
    {
        return 0 === $this->every ? "day $this->day" : "every $this->every days from day $this->day".(null === $this->until ? '' : " to day $this->until");
    }
}
