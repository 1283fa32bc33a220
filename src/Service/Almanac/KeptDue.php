<?php

declare(strict_types=1);

namespace Olvek\Service\Almanac;

use Olvek\Service\Account\Today;
use Olvek\Service\Tank\Tank;

/**
 * A time at which a tank asks for something, as it is kept from one visit to the next: without the tank itself, and whatever day it is.
 *
 * Packed it is what the constructor takes, in its order.
 *
 * @phpstan-type PackedDue array{string, string, string, string, string, bool, string, int, array<string, mixed>}
 */
final readonly class KeptDue
{
    /**
     * @param string               $tank its id
     * @param string               $due  day on which it falls by itself, year-month-day
     * @param string               $on   day on which it is asked for
     * @param array<string, mixed> $asks what its page is asked
     */
    public function __construct(
        public string $tank,
        public string $task,
        public string $words,
        public string $due,
        public string $on,
        public bool $moved = false,
        public string $way = '',
        public int $every = 0,
        public array $asks = [],
    ) {
    }

    public static function of(Due $due): self
    {
        return new self(
            $due->tank->id()->toRfc4122(),
            $due->task,
            $due->words,
            $due->due->format('Y-m-d'),
            $due->on->format('Y-m-d'),
            $due->moved,
            $due->way,
            $due->every,
            $due->asks,
        );
    }

    /**
     * As a cache keeps it: thousands of objects take three times as long to be read back.
     *
     * @return PackedDue
     */
    public function packed(): array
    {
        return [$this->tank, $this->task, $this->words, $this->due, $this->on, $this->moved, $this->way, $this->every, $this->asks];
    }

    /** @param PackedDue $packed */
    public static function unpacked(array $packed): self
    {
        return new self(...$packed);
    }

    /** The same, asked for on another day. */
    public function askedOn(string $day): self
    {
        return new self($this->tank, $this->task, $this->words, $this->due, $day, $this->moved, $this->way, $this->every, $this->asks);
    }

    public function on(Tank $tank, \DateTimeImmutable $today): Due
    {
        $utc = new \DateTimeZone('UTC');
        $on = new \DateTimeImmutable($this->on, $utc);

        return new Due(
            $tank,
            $this->task,
            $this->words,
            new \DateTimeImmutable($this->due, $utc),
            $on,
            max(0, Today::between($on, $today)),
            $this->moved,
            $this->way,
            $this->every,
            $this->asks,
        );
    }
}
