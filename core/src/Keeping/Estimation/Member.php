<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Simulation\Run\Trace;

/** One tank of an estimate, run through: what it has where something was read, and, packed, what it has day by day. */
final readonly class Member
{
    /** Of a packed number. */
    private const BYTES = 4;

    /**
     * @param list<float>           $predicted by observation, on its scale
     * @param array<string, string> $packed    by quantity, as 32-bit numbers; none where only readings were wanted
     */
    private function __construct(public array $predicted, private array $packed)
    {
    }

    /**
     * @param list<float> $predicted
     * @param Trace|null  $trace     where its days are wanted
     */
    public static function of(array $predicted, ?Trace $trace): self
    {
        $packed = [];
        if (null !== $trace) {
            foreach (Quantity::cases() as $quantity) {
                $packed[$quantity->value] = pack('g*', ...$trace->columns[$quantity->value]);
            }
        }

        return new self($predicted, $packed);
    }

    /** The same from a day on, which is then its first; without what it has where something was read. */
    public function from(int $day): self
    {
        return new self([], array_map(static fn (string $days): string => substr($days, self::BYTES * $day), $this->packed));
    }

    /**
     * The same with what it stands off.
     *
     * @param array<string, Departure> $departures by quantity
     * @param int                      $tank       which of them it is
     */
    public function moved(array $departures, int $tank): self
    {
        $packed = $this->packed;
        foreach ($departures as $departure) {
            $packed[$departure->quantity->value] = pack('g*', ...$departure->moved($this->column($departure->quantity), $tank));
        }

        return new self($this->predicted, $packed);
    }

    /** @return list<float> by day */
    public function column(Quantity $quantity): array
    {
        /** @var array<int, float>|false $values */
        $values = unpack('g*', $this->packed[$quantity->value] ?? '');

        return false === $values ? [] : array_values($values);
    }
}
