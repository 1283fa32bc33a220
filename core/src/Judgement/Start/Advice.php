<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Planning\Event\EventKind;

/** What a reading means, and what to do about it. */
final readonly class Advice
{
    /**
     * @param list<Message> $do     one thing each
     * @param list<QuickEntry>  $offers what of it can be written down with one press
     * @param float|null   $share  of the water that its first thing to do changes, times over; null where it changes none
     */
    public function __construct(
        public MarginState $state,
        public Message $means,
        public array $do = [],
        public array $offers = [],
        public ?float $share = null,
        public int $times = 1,
    ) {
    }

    /** How much of the old water is left when all of its change is done; 1 where it changes none. */
    public function left(): float
    {
        return null === $this->share ? 1.0 : (1 - $this->share) ** $this->times;
    }

    /** The same advice, its change of water being that of another. */
    public function changing(self $other): self
    {
        $own = array_filter($this->offers, static fn (QuickEntry $o): bool => EventKind::Change !== $o->kind);
        $theirs = array_filter($other->offers, static fn (QuickEntry $o): bool => EventKind::Change === $o->kind);

        return new self(
            $this->state,
            $this->means,
            [$other->do[0], ...\array_slice($this->do, 1)],
            [...array_values($theirs), ...array_values($own)],
            $other->share,
            $other->times,
        );
    }

    /** The same advice where another's change of water does for it too. */
    public function served(): self
    {
        return new self(
            $this->state,
            $this->means,
            [new Message('advice.served'), ...\array_slice($this->do, 1)],
            array_values(array_filter($this->offers, static fn (QuickEntry $o): bool => EventKind::Change !== $o->kind)),
        );
    }
}
