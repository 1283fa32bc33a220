<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;

/** A point of the first weeks that must be passed before the next step. */
final readonly class Gate
{
    /**
     * @param Message       $needs    what it asks for, with thresholds as the keeper's kit shows them
     * @param list<Message> $standing how it stands
     * @param int|null $day   on which it was passed; else the first on which it could be, as far as days alone decide
     * @param QuickEntry|null $offer what is to be done now
     */
    public function __construct(
        public string $id,
        public Message $name,
        public GateState $state,
        public Message $needs,
        public array $standing,
        public ?int $day,
        public ?QuickEntry $offer = null,
    ) {
    }
}
