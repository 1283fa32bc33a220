<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Keeping\Care\Effort;
use Olvek\Core\Planning\Buying\RoughCost;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Trace;

/** What a change costs its keeper: work, money, animals given up. */
final readonly class Cost
{
    /** Minutes a week, and coins, below which nothing is said. J. */
    private const LEAST_MINUTES = 1.0;
    private const LEAST_MONEY = 1.0;
    /** What a minute a week and an animal fewer weigh against coins, where changes do the same. J. */
    private const MINUTE = 10.0;
    private const ANIMAL = 5.0;

    /**
     * @param float $minutes more of work a week; less where it is negative
     * @param float $money   more to buy, in euros or dollars (RoughCost)
     * @param int   $animals fewer
     */
    public function __construct(public float $minutes, public float $money, public int $animals)
    {
    }

    /** Of a plan against another, each with its run. */
    public static function between(Plan $before, Trace $as, Plan $after, Trace $then): self
    {
        $heads = static fn (Plan $plan): int => array_sum(array_column($plan->groups, 'count'));

        return new self(
            Effort::weekly($after, $then) - Effort::weekly($before, $as),
            RoughCost::of($after)->value - RoughCost::of($before)->value,
            max(0, $heads($before) - $heads($after)),
        );
    }

    /** By which changes that do the same are ranked, the cheapest first. */
    public function weight(): float
    {
        return $this->money + self::MINUTE * $this->minutes + self::ANIMAL * $this->animals;
    }

    /** @return non-empty-list<Message> */
    public function messages(): array
    {
        $said = [
            ...$this->animals > 0 ? [new Message('cost.animals', ['count' => $this->animals])] : [],
            ...$this->minutes >= self::LEAST_MINUTES ? [new Message('cost.more-work', ['minutes' => (int) round($this->minutes)])] : [],
            ...$this->minutes <= -self::LEAST_MINUTES ? [new Message('cost.less-work', ['minutes' => (int) round(-$this->minutes)])] : [],
            ...$this->money >= self::LEAST_MONEY ? [new Message('cost.more-money', ['money' => (int) round($this->money)])] : [],
            ...$this->money <= -self::LEAST_MONEY ? [new Message('cost.less-money', ['money' => (int) round(-$this->money)])] : [],
        ];

        return [] === $said ? [new Message('cost.nothing')] : $said;
    }
}
