<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;

/** How sure each margin of a plan is: the plan is judged in many tanks whose uncertain numbers differ. */
final readonly class Band
{
    /** Before the id of a harm among a member's margins. */
    public const HARM = 'harm ';

    private Ensemble $ensemble;

    /** @param list<Event>|null $events beside what the plan itself says; usual care where none are told */
    public function __construct(Plan $plan, public int $members = Ensemble::MEMBERS, private ?array $events = null)
    {
        $this->ensemble = new Ensemble($plan, $members);
    }

    /**
     * One tank's margins and harms: the measure of each and whether it fails; of margins, practice never does.
     *
     * @return array<string, array{float, bool}> by margin, and by HARM and the id of a harm
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
        $judgement = Judge::fromTrace($plan, $trace, UnitSystem::Metric, $parameters);
        foreach ($judgement->margins as $margin) {
            $judged[$margin->id->value] = [$margin->measure, MarginState::Fails === $margin->state];
        }
        foreach (HarmId::cases() as $id) {
            $amount = max(0.0, ...array_map(static fn (Harm $h): float => $h->id === $id ? $h->amount : 0.0, $judgement->harms));
            $judged[self::HARM.$id->value] = [$amount, $amount >= $id->weight()->fails];
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
            array_filter($members, static fn (array $m): bool => [] === array_filter(
                $m,
                static fn (array $judged, string $id): bool => $judged[1] && str_starts_with($id, self::HARM),
                \ARRAY_FILTER_USE_BOTH,
            )),
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
