<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;

/** Something that is off in a tank, or coming, marked in its drawing where it is. */
final readonly class TankMark
{
    /**
     * @param float           $x       share (0–1) of the drawing from its left
     * @param float           $y       share (0–1) of it from its top
     * @param MarginState     $state   holds: nothing needs to be done
     * @param Message         $message what it is
     * @param list<Message>   $averts  what can be done about it, the simplest first
     */
    public function __construct(
        public float $x,
        public float $y,
        public MarginState $state,
        public Message $message,
        public array $averts = [],
    ) {
    }
}
