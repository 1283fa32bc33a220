<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Event\EventKind;

/** Something that a keeper may do now, and which is written down with one press. */
final readonly class QuickEntry
{
    /**
     * @param float       $amount as the deed's kind counts it
     * @param string|null $of     group that it concerns
     * @param Message      $button what the button says
     * @param Message|null $how    how much that is here, and how
     */
    public function __construct(
        public EventKind $kind,
        public float $amount,
        public Message $button,
        public ?Message $how = null,
        public ?string $of = null,
    ) {
    }
}
