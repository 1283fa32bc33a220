<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Message;

/** One step of building, in the order of the trade. */
final readonly class Step
{
    /** How the ids of steps begin in which a group of animals is let in; the group's own follows. */
    public const LET_IN = 'arrive-';
    /** kg above which a floor or a stand is a structural professional's question. C. */
    public const HEAVY = 200.0;

    /**
     * @param string  $id      names it for good: ticks are kept by it
     * @param Message      $amount  how much of what
     * @param Message      $check   how to see that it is right
     * @param Message|null $mistake what usually goes wrong
     * @param Message|null $caution where it applies
     * @param int     $minutes of work. J
     * @param float   $wait    hours to wait before the next. C
     * @param ?string $draw    up to where the tank is built after it: plate, soil, leaves, cap, hardscape, planted, full; null for none
     */
    public function __construct(
        public string $id,
        public Message $name,
        public Message $amount,
        public Message $check,
        public ?Message $mistake = null,
        public ?Message $caution = null,
        public int $minutes = 10,
        public float $wait = 0.0,
        public ?string $draw = null,
    ) {
    }
}
