<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;

/** How sure each margin of a plan is: the plan is judged in many tanks whose uncertain numbers differ. */
final readonly class Band
{
    private Ensemble $ensemble;

    /** @param list<Event>|null $events beside what the plan itself says; usual care where none are told */
    public function __construct(Plan $plan, public int $members = Ensemble::MEMBERS, private ?array $events = null)
    {
        $this->ensemble = new Ensemble($plan, $members);
    }

    /**
     * One tank's margins: the measure of each and whether it fails; practice never does.
     *
     * @return array<string, array{float, bool}> by margin
     */
    public function member(int $n): array
    {
        [$plan, $parameters] = $this->ensemble->member($n);
        $judged = [];
        $trace = (new Runner($plan, $parameters))->run(
            Judge::FIRST_YEAR,
            $this->events ?? UsualCare::events(),
            Runner::COARSE,
        );
        foreach (Judge::fromTrace($plan, $trace, UnitSystem::Metric, $parameters)->margins as $margin) {
            $judged[$margin->id->value] = [$margin->measure, MarginState::Fails === $margin->state];
        }

        return $judged;
    }

    /**
     * @param array<int, array<string, array{float, bool}>> $members as member() gives them
     */
    public static function sureness(array $members): Uncertainty
    {
        $spreads = [];
        foreach (array_keys($members[array_key_first($members) ?? 0] ?? []) as $id) {
            $measures = array_map(static fn (array $m): float => $m[$id][0], array_values($members));
            sort($measures);
            \assert([] !== $measures);
            $holds = \count(array_filter($members, static fn (array $m): bool => !$m[$id][1]));
            $spreads[$id] = new Spread(self::percentile($measures, 0.1), self::percentile($measures, 0.9), $holds, \count($members));
        }

        $together = \count(
            array_filter($members, static fn (array $m): bool => [] === array_filter($m, static fn (array $judged): bool => $judged[1])),
        );

        return new Uncertainty($spreads, $together, \count($members));
    }

    /**
     * The value that a share of sorted values lies below, between neighbours in proportion.
     *
     * @param non-empty-list<float> $sorted
     */
    public static function percentile(array $sorted, float $share): float
    {
        $at = $share * (\count($sorted) - 1);
        $below = (int) floor($at);
        $above = min($below + 1, \count($sorted) - 1);

        return $sorted[$below] + ($at - $below) * ($sorted[$above] - $sorted[$below]);
    }
}
