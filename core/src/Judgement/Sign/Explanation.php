<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** What lies behind signs, as far as a tank's plan, logbook and run tell. */
final readonly class Explanation
{
    /** Share from which the first cause is called likely, and from which it may be. J. */
    private const LIKELY = 0.6;
    private const MAY = 0.35;

    /**
     * @param list<RankedCause> $causes the likeliest first
     * @param float             $other  share of what none of them explains
     * @param list<NextLook>    $looks  the most telling first
     */
    public function __construct(public TankCase $case, public array $causes, public float $other, public array $looks)
    {
    }

    public function first(): ?RankedCause
    {
        return $this->causes[0] ?? null;
    }

    public function share(string $cause): float
    {
        foreach ($this->causes as $ranked) {
            if ($ranked->cause->id === $cause) {
                return $ranked->share;
            }
        }

        return 0.0;
    }

    /** Animals may be lost within hours: one acts first and reads on then. */
    public function isUrgent(): bool
    {
        $urgent = array_filter($this->causes, static fn (RankedCause $c): bool => Severity::Urgent === $c->cause->severity);

        return array_sum(array_map(static fn (RankedCause $c): float => $c->share, $urgent)) >= self::MAY;
    }

    /** What one does before reading on, where it is urgent. C. */
    public function atOnce(): string
    {
        return 'Animals may be in danger: move the surface, test ammonia and nitrite now, and change a third of the water if either shows. '
            .'Read on then.';
    }

    /** In one sentence, as a friend would say it. */
    public function sentence(): string
    {
        $first = $this->first();
        if (null === $first) {
            return 'Nothing that Olvek knows of explains this.';
        }
        $second = $this->causes[1] ?? null;

        return match (true) {
            $first->share >= self::LIKELY => "Most likely: {$first->cause->words}.",
            null !== $second && $first->share < self::MAY => 'Hard to tell yet. Perhaps: '
                ."{$first->cause->words}; or: {$second->cause->words}.",
            null !== $second => "Likely: {$first->cause->words}; or else: {$second->cause->words}.",
            default => "Perhaps: {$first->cause->words}.",
        };
    }
}
