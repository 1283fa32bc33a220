<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Harm\Ahead;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\Harm\Verdict;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Simulation\Run\Trace;

/** What Olvek says of a plan. */
final readonly class Judgement
{
    /**
     * @param non-empty-list<Message> $verdict what will happen to whom and what to do; how sure that is
     * @param non-empty-list<Margin>  $margins gauges of single subjects
     * @param Trace                   $trace   of the run that it was judged from
     * @param list<Harm>              $harms   the gravest first, those that weigh nothing among them
     * @param list<Ahead>             $ahead   what will be seen, and what is worth knowing
     */
    public function __construct(
        public MarginState $state,
        public array $verdict,
        public array $margins,
        public Trace $trace,
        public Quantities $quantities,
        public array $harms,
        public array $ahead,
        public ?Uncertainty $sureness = null,
    ) {
    }

    /** The same judgement, and how sure it is: what most tanks come to decides. */
    public function with(Uncertainty $sureness, Plan $plan): self
    {
        $harms = Harms::sorted($sureness->ofHarms($this->harms));

        return new self(
            Harms::state($harms),
            Verdict::of($plan, $harms, $sureness, $this->state),
            array_map(static fn (Margin $m): Margin => $sureness->of($m), $this->margins),
            $this->trace,
            $this->quantities,
            $harms,
            $this->ahead,
            $sureness,
        );
    }

    /** @return list<Harm> those that weigh something, the gravest first */
    public function weighing(): array
    {
        return array_values(array_filter($this->harms, static fn (Harm $h): bool => MarginState::Holds !== $h->state));
    }

    public function margin(MarginId $id): Margin
    {
        foreach ($this->margins as $margin) {
            if ($margin->id === $id) {
                return $margin;
            }
        }

        throw new \OutOfBoundsException(\sprintf('there is no margin "%s"', $id->value));
    }

    /** Day on which the worst margin is closest; a month in where none has a day. */
    public function hardestDay(): int
    {
        $worst = null;
        foreach ($this->margins as $margin) {
            if (null !== $margin->worstDay && (null === $worst || $margin->position() < $worst->position())) {
                $worst = $margin;
            }
        }

        return null === $worst || null === $worst->worstDay ? 28 : $worst->worstDay;
    }
}
