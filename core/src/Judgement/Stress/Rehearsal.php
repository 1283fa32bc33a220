<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Stress;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;

/** What a mishap came to in a tank. */
final readonly class Rehearsal
{
    /**
     * @param int        $day     of the run on which it begins
     * @param float|null $hours   from the day of the mishap until the first limit is passed; null where none is
     * @param float      $ammonia mg N/L, the highest
     * @param float      $nitrite mg N/L, the highest
     * @param float      $oxygen  mg/L, the lowest
     * @param list<Message> $sentences what it comes to
     */
    public function __construct(
        public Mishap $mishap,
        public MarginState $state,
        public int $day,
        public ?float $hours,
        public float $ammonia,
        public float $nitrite,
        public float $oxygen,
        public array $sentences,
    ) {
    }
}
