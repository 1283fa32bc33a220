<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

use Symfony\Component\HttpFoundation\Response;

/** What a keeper gets who has asked something that takes long. */
final readonly class Ticket
{
    /** @param int $again seconds after which it is worth asking again */
    private function __construct(public TicketState $state, public mixed $value = null, public int $again = 0)
    {
    }

    public static function done(mixed $value): self
    {
        return new self(TicketState::Done, $value);
    }

    public static function underway(): self
    {
        return new self(TicketState::Underway, again: 1);
    }

    public static function busy(): self
    {
        return new self(TicketState::Busy, again: 2);
    }

    public static function tooOften(int $again): self
    {
        return new self(TicketState::TooOften, again: max(1, $again));
    }

    public function isDone(): bool
    {
        return TicketState::Done === $this->state;
    }

    public function status(): int
    {
        return match ($this->state) {
            TicketState::Done => Response::HTTP_OK,
            TicketState::Underway => Response::HTTP_ACCEPTED,
            TicketState::Busy, TicketState::TooOften => Response::HTTP_TOO_MANY_REQUESTS,
        };
    }

    /** @return array<string, string> */
    public function headers(): array
    {
        return $this->isDone() ? [] : ['Retry-After' => (string) $this->again];
    }

    public function words(): string
    {
        return match ($this->state) {
            TicketState::Done => '',
            TicketState::Underway => 'Being worked out…',
            TicketState::Busy => 'Another of your questions is being worked out; this one comes next.',
            TicketState::TooOften => 'You have asked a great deal in a short while. This goes on in a moment.',
        };
    }
}
