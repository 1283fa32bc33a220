<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

/**
 * How far the tank stays from one limit.
 *
 * $value, $limit and $good are on one scale, more being better: below $limit it fails, from $good on it holds,
 * between them it is tight.
 */
final readonly class Margin
{
    public State $state;

    /**
     * @param string     $id       stable name, e.g. "uptake"
     * @param int|null   $worstDay day from filling on which the margin is closest
     * @param string     $shown    the value as text with its unit
     * @param string     $sentence what it means for this tank
     * @param list<Term> $terms    the numbers behind it
     * @param string     $help     what would help most; empty when it holds
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $value,
        public float $limit,
        public float $good,
        public ?int $worstDay,
        public string $shown,
        public string $sentence,
        public array $terms,
        public string $help,
    ) {
        $this->state = match (true) {
            $value < $limit => State::Act,
            $value < $good => State::Watch,
            default => State::Good,
        };
    }

    /** Place on a gauge, 0–1: the limit stands at a third, the good value at two thirds. */
    public function position(): float
    {
        $span = $this->good - $this->limit;

        return match (true) {
            $this->value < $this->limit => $this->limit <= 0 ? 0.0 : max(0.0, $this->value / $this->limit) / 3,
            $this->value < $this->good => 1 / 3 + ($this->value - $this->limit) / $span / 3,
            default => 1 - $this->good / max($this->value, 1e-12) / 3,
        };
    }
}
