<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Simulation\Run\Alga;

/** What of a run shows whether something that is done helps, and which way it should go. */
final readonly class Watch
{
    /** The share of their growth that plants find food for, which is of no column of the trace. */
    private const FED = 'fed';
    /** Share of the film that shows, and mg dry of green water per L, below which there is none to speak of. J. */
    private const UNSEEN = 0.2;
    private const CLEAR = 1.0;

    private function __construct(private ?Quantity $quantity, public bool $up)
    {
    }

    /** @return self|null null where the text is not "nitrate up" */
    public static function parse(string $text): ?self
    {
        [$name, $way] = [...explode(' ', $text), ''];
        $quantity = Quantity::tryFrom($name);

        $isKnown = \in_array($way, ['up', 'down'], true) && (null !== $quantity || self::FED === $name);

        return $isKnown ? new self($quantity, 'up' === $way) : null;
    }

    public function label(): string
    {
        return null === $this->quantity ? 'the food that plants find' : $this->quantity->label();
    }

    public function say(float $value, TankCase $case): string
    {
        return null === $this->quantity
            ? Decimal::trimmed(100 * $value, 0).' % of what they could use'
            : $this->quantity->say($value, $case->kit, $case->units);
    }

    /** Whether the run has so little of it that it cannot tell how it would fare: what is seen is not in it. */
    public function isBlind(float $value): bool
    {
        return match ($this->quantity) {
            Quantity::Film => $value < self::UNSEEN * Alga::SHOWS,
            Quantity::GreenWater => $value < self::CLEAR,
            default => false,
        };
    }

    /** How much of it was read in these days; null where it was not, or there was none. */
    public function read(TankCase $case): ?Level
    {
        $measure = $this->quantity?->measure();
        $level = null === $measure || null === $this->quantity ? null : $case->level($measure, $this->quantity->value, $this->label());

        return null !== $level && Source::Read === $level->source && $level->value > 0 ? $level : null;
    }

    /** What it comes to in the days after the question: of oxygen the least, else the mean. */
    public function of(TankCase $case, int $days): float
    {
        $last = min($case->trace->days() - 1, $case->day + max(1, $days));
        $values = [];
        for ($day = $case->day + 1; $day <= $last; ++$day) {
            $values[] = null === $this->quantity ? self::fed($case, $day) : $case->trace->columns[$this->quantity->value][$day];
        }

        return match (true) {
            [] === $values => 0.0,
            Quantity::Oxygen === $this->quantity => min($values),
            default => array_sum($values) / \count($values),
        };
    }

    private static function fed(TankCase $case, int $day): float
    {
        $clumps = $case->clumps();
        $fed = array_map(static fn (int $i): float => $case->trace->fed[$day][$i] ?? 1.0, $clumps);

        return [] === $fed ? 1.0 : array_sum($fed) / \count($fed);
    }
}
