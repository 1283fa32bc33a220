<?php

declare(strict_types=1);

namespace Olvek\Core\Estimation;

use Olvek\Core\Run\Trace;

/** One tank of an estimate, run through: what it has where something was read, and, packed, what it has day by day. */
final readonly class Member
{
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

    /** @return list<float> by day */
    public function column(Quantity $quantity): array
    {
        /** @var array<int, float>|false $values */
        $values = unpack('g*', $this->packed[$quantity->value] ?? '');

        return false === $values ? [] : array_values($values);
    }
}
