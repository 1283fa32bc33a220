<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Suitability;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;

/** Whether a kind would live in a tank, why not, and how many of it. */
final readonly class Suitability
{
    public MarginState $state;

    /**
     * @param list<Reason>  $reasons what is tight or fails; none where it would do well
     * @param int                        $amount  pieces or heads that are usual in such a tank
     * @param int|null                   $most    heads that its room and what its plants carry allow beside what is there; null for plants
     * @param list<Message>              $fights  who of those planned harms it, or is harmed by it
     * @param float|null $light share of its best growth that light and carbon allow at its place, of what light is asked of
     */
    public function __construct(
        public array $reasons,
        public int $amount,
        public ?int $most = null,
        public array $fights = [],
        public ?float $light = null,
    ) {
        $this->state = array_reduce(
            $reasons,
            static fn (MarginState $worst, Reason $reason): MarginState => $worst->worse($reason->state),
            MarginState::Holds,
        );
    }

    /** @return list<Message> all reasons, the gravest first */
    public function messages(): array
    {
        $reasons = $this->reasons;
        usort($reasons, static fn (Reason $a, Reason $b): int => $b->state->rank() <=> $a->state->rank());

        return array_map(static fn (Reason $r): Message => $r->message, $reasons);
    }

    /**
     * Why it would not live there; none where it would.
     *
     * @param list<Need> $but needs that are not asked about
     *
     * @return list<Reason>
     */
    public function fails(array $but = []): array
    {
        return array_values(array_filter(
            $this->reasons,
            static fn (Reason $r): bool => MarginState::Fails === $r->state && !\in_array($r->need, $but, true),
        ));
    }
}
