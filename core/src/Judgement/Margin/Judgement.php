<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Simulation\Run\Trace;

/** What Olvek says of a plan. */
final readonly class Judgement
{
    /**
     * @param string                 $verdict one sentence, as a friend would say it
     * @param non-empty-list<Margin> $margins
     * @param Trace                  $trace   of the run that it was judged from
     */
    public function __construct(
        public MarginState $state,
        public string $verdict,
        public array $margins,
        public Trace $trace,
        public Quantities $quantities,
        public ?Uncertainty $sureness = null,
    ) {
    }

    /** The same judgement, and how sure it is. */
    public function with(Uncertainty $sureness): self
    {
        return new self(
            $this->state,
            $this->verdict,
            array_map(static fn (Margin $m): Margin => $sureness->of($m), $this->margins),
            $this->trace,
            $this->quantities,
            $sureness,
        );
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
