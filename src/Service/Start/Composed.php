<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Judgement\Solve\Compose\Composition;
use Olvek\Core\Judgement\Solve\Compose\Confirmation;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\Unmet;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Judging\Verdict;

/** A composed plan as a page shows it: small enough to be kept. */
final readonly class Composed
{
    /**
     * @param string        $plan  its document
     * @param string        $cost  in money, from and to
     * @param string        $work  minutes a week
     * @param list<Unmet>   $unmet
     * @param list<Message> $notes
     */
    private function __construct(
        public string $plan,
        public Snapshot $look,
        public Taste $taste,
        public bool $holds,
        public Verdict $judgement,
        public string $sentence,
        public string $cost,
        public string $work,
        public array $unmet,
        public array $notes,
        public bool $complete,
    ) {
    }

    /** @param string $plan its document */
    public static function of(string $plan, Composition $found, Snapshot $look): self
    {
        return new self(
            $plan,
            $look,
            $found->taste,
            $found->holds,
            Verdict::of($found->judgement),
            $found->sentence,
            \sprintf('%s to %s', Decimal::trimmed($found->cost->low, 0), Decimal::trimmed($found->cost->high, 0)),
            Decimal::trimmed($found->minutes, 0),
            $found->unmet,
            $found->notes,
            $found->complete,
        );
    }

    public function state(): MarginState
    {
        return $this->holds ? $this->judgement->state : MarginState::Fails;
    }

    /** The same, and how sure it is. */
    public function with(Uncertainty $sureness, Plan $plan): self
    {
        $judgement = $this->judgement->with($sureness, $plan);

        return new self(
            $this->plan,
            $this->look,
            $this->taste,
            $this->holds && Confirmation::holds($sureness),
            $judgement,
            $this->sentence,
            $this->cost,
            $this->work,
            [...$this->unmet, ...Confirmation::unmet($this->judgement->harms, $judgement->harms)],
            $this->notes,
            $this->complete,
        );
    }
}
