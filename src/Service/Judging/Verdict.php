<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Judgement\Margin\Voice;

/** What a judgement says: its state, its sentence, its margins. */
readonly class Verdict
{
    /** @param non-empty-list<Margin> $margins */
    public function __construct(
        public MarginState $state,
        public string $verdict,
        public array $margins,
        public ?Uncertainty $sureness = null,
    ) {
    }

    /** More than these are not read. */
    private const MOST_DIFFERENCES = 8;

    public static function of(Judgement $judgement): self
    {
        return new self($judgement->state, $judgement->verdict, $judgement->margins);
    }

    /** The same, and how sure it is. */
    public function with(Uncertainty $sureness): self
    {
        $margins = array_map(static fn (Margin $m): Margin => $sureness->of($m), $this->margins);

        return new self($this->state, $this->verdict, $margins, $sureness);
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
