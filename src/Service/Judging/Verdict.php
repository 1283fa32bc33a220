<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\Harm\Ahead;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\Harm\Verdict as Sentences;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Judgement\Margin\Voice;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Core\Planning\Plan\Plan;

/** What a judgement says: its state and sentences, who comes to harm, what lies ahead, and the gauges. */
readonly class Verdict
{
    /**
     * @param non-empty-list<Message> $verdict
     * @param non-empty-list<Margin>  $margins
     * @param list<Harm>              $harms   the gravest first, those that weigh nothing among them
     * @param list<Ahead>             $ahead
     */
    public function __construct(
        public MarginState $state,
        public array $verdict,
        public array $margins,
        public array $harms,
        public array $ahead,
        public ?Uncertainty $sureness = null,
    ) {
    }

    /** @return list<Harm> those that weigh something */
    public function weighing(): array
    {
        return array_values(array_filter($this->harms, static fn (Harm $h): bool => MarginState::Holds !== $h->state));
    }

    /** @return array{mind: list<Ahead>, harmless: list<Ahead>} what lies ahead: to be minded, and what goes by itself */
    public function foreseen(): array
    {
        return [
            'mind' => array_values(array_filter($this->ahead, static fn (Ahead $a): bool => !$a->harmless)),
            'harmless' => array_values(array_filter($this->ahead, static fn (Ahead $a): bool => $a->harmless)),
        ];
    }

    /** More than these are not read. */
    private const MOST_DIFFERENCES = 8;

    public static function of(Judgement $judgement): self
    {
        return new self($judgement->state, $judgement->verdict, $judgement->margins, $judgement->harms, $judgement->ahead);
    }

    /** The same, and how sure it is: what most tanks come to decides. What is only read off a change says nothing of how sure it is. */
    public function with(Uncertainty $sureness, Plan $plan): self
    {
        $margins = array_map(static fn (Margin $m): Margin => $sureness->of($m), $this->margins);
        $harms = Harms::sorted($sureness->ofHarms($this->harms));
        $counted = $sureness->counted ? $sureness : null;
        $verdict = Sentences::of($plan, $harms, $counted, $this->state);

        return new self(Harms::state($harms), $verdict, $margins, $harms, $this->ahead, $counted);
    }

    /** The same of a running tank, which stands as it does today: gauges are its plan's, all else is told of the weeks ahead. */
    public function standing(Standing $standing): self
    {
        return new self($standing->state, $standing->verdict, $this->margins, $standing->harms, $standing->ahead, $this->sureness);
    }

    /**
     * Margins by voice: what matters first, those nearest their limit before the rest, and the rest, which holds.
     *
     * @return array<string, array{matter: list<Margin>, rest: list<Margin>}>
     */
    public function voices(): array
    {
        $voices = array_fill_keys(array_column(Voice::cases(), 'value'), ['matter' => [], 'rest' => []]);
        foreach ($this->margins as $margin) {
            $voices[$margin->voice->value][MarginState::Holds === $margin->state ? 'rest' : 'matter'][] = $margin;
        }
        foreach ($voices as $voice => ['matter' => $matter]) {
            usort(
                $matter,
                static fn (Margin $a, Margin $b): int => [$b->state->rank(), $a->position()] <=> [$a->state->rank(), $b->position()],
            );
            $voices[$voice]['matter'] = $matter;
        }

        return $voices;
    }

    /**
     * @return list<array{name: string, before: string, after: string}> margins that read otherwise than they did, those that moved most
     * first
     */
    public function differences(self $before): array
    {
        $moved = [];
        foreach ($this->margins as $margin) {
            $old = $before->margin($margin->id);
            if (null !== $old && $old->shown !== $margin->shown) {
                $moved[] = [
                    abs($margin->position() - $old->position()),
                    ['name' => Words::small($margin->name), 'before' => $old->shown, 'after' => $margin->shown],
                ];
            }
        }
        usort($moved, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column(\array_slice($moved, 0, self::MOST_DIFFERENCES), 1);
    }

    /** True once it is known how sure the margins are. */
    public function isSure(): bool
    {
        return null !== $this->sureness;
    }

    public function margin(MarginId $id): ?Margin
    {
        foreach ($this->margins as $margin) {
            if ($margin->id === $id) {
                return $margin;
            }
        }

        return null;
    }
}
