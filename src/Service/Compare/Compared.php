<?php

declare(strict_types=1);

namespace Olvek\Service\Compare;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Compare\Curves;
use Olvek\Core\Judgement\Compare\Side;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Service\Judging\PackedDays;

/** One side of a comparison, small enough to be kept. */
final readonly class Compared
{
    /**
     * @param non-empty-list<Message>              $verdict
     * @param list<Margin>                         $margins
     * @param array<string, string>                $columns  values by day, packed, by quantity
     * @param array<string, list<array{int, float}>> $readings day and value, by quantity
     */
    private function __construct(
        public MarginState $state,
        public array $verdict,
        public array $margins,
        public float $cost,
        public float $kilograms,
        public float $minutes,
        public int $days,
        public PackedDays $album,
        private array $columns,
        public array $readings,
    ) {
    }

    public static function of(Side $side, ?Log $log = null): self
    {
        $columns = $readings = [];
        foreach (Curves::all() as $quantity) {
            $columns[$quantity->value] = pack('g*', ...$side->trace->columns[$quantity->value]);
            $measure = $quantity->measure();
            $readings[$quantity->value] = array_values(array_map(
                static fn (Reading $r): array => [$r->day, $r->value],
                array_filter($log->readings ?? [], static fn (Reading $r): bool => $r->measure === $measure && null === $r->of),
            ));
        }

        return new self(
            $side->state,
            $side->verdict,
            $side->margins,
            $side->cost,
            $side->kilograms,
            $side->minutes,
            $side->trace->days(),
            PackedDays::of($side->trace),
            $columns,
            $readings,
        );
    }

    /** @return list<float> by day */
    public function column(Quantity $quantity): array
    {
        /** @var array<int, float>|false $values */
        $values = unpack('g*', $this->columns[$quantity->value]);

        return false === $values ? [] : array_values($values);
    }

    public function on(Quantity $quantity, int $day): float
    {
        $day = max(0, min($this->days - 1, $day));
        /** @var array{1: float}|false $value */
        $value = unpack('g', $this->columns[$quantity->value], 4 * $day);

        return false === $value ? 0.0 : $value[1];
    }
}
