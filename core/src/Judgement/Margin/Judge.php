<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Simulation\Run\UsualCare;

/** Judges a plan from a run of its first year with usual care: margins, verdict. Pure: the same plan always gets the same judgement. */
final class Judge
{
    public const FIRST_YEAR = 365;

    /** @param list<Event> $events beside what the plan and usual care bring */
    public static function judge(
        Plan $plan,
        UnitSystem $units = UnitSystem::Metric,
        Parameters $parameters = new Parameters(),
        int $days = self::FIRST_YEAR,
        array $events = [],
        Pace $pace = Pace::Whole,
    ): Judgement {
        return self::fromTrace(
            $plan,
            (new Runner($plan, $parameters))->run($days, [...UsualCare::events(), ...$events], pace: $pace),
            $units,
            $parameters,
        );
    }

    /** Judges what a run with these parameters came to. */
    public static function fromTrace(
        Plan $plan,
        Trace $trace,
        UnitSystem $units = UnitSystem::Metric,
        Parameters $parameters = new Parameters(),
    ): Judgement {
        $outlook = new Outlook($plan, $trace, $units, $parameters);
        $margins = array_map(static fn (MarginId $id): Margin => $id->criterion()::margin($outlook), MarginId::cases());
        $state = array_reduce(
            $margins,
            static fn (MarginState $s, Margin $m): MarginState => Voice::Practice === $m->voice ? $s : $s->worse($m->state),
            MarginState::Holds,
        );

        // Without plants there is nothing that could carry it.
        $state = [] === $plan->clumps ? MarginState::Fails : $state;

        return new Judgement($state, self::verdict($plan, $margins, $state), $margins, $trace, Quantities::of($plan));
    }

    /** @param non-empty-list<Margin> $margins */
    private static function verdict(Plan $plan, array $margins, MarginState $state): string
    {
        if ([] === $plan->clumps) {
            return 'A tank without plants cannot balance: add some, and Olvek will say what they can carry.';
        }
        $worst = [];
        $failing = 0;
        foreach ($margins as $margin) {
            $failing += MarginState::Fails === $margin->state ? 1 : 0;
            $other = $worst[$margin->voice->value] ?? null;
            if (
                null === $other
                || $margin->state->rank() > $other->state->rank()
                || ($margin->state === $other->state && MarginState::Holds !== $margin->state && $margin->position() < $other->position())
            ) {
                $worst[$margin->voice->value] = $margin;
            }
        }
        $balance = $worst[Voice::Balance->value] ?? $margins[0];
        $welfare = $worst[Voice::Welfare->value] ?? $margins[0];
        $stock = array_values(array_filter($margins, static fn (Margin $m): bool => MarginId::Stock === $m->id))[0];
        $itself = match ($balance->state) {
            MarginState::Holds => 'This should hold. '.
                (null === $plan->firstAnimals() ? 'Add animals to see whether it balances.' : $stock->sentence),
            MarginState::Tight => 'This can work, but '.Words::small($balance->name).' is tight. '.$balance->sentence,
            MarginState::Fails => ($failing > 1 ? "Not yet: $failing margins fail. " : 'Not yet. ').$balance->sentence,
        };
        if (MarginState::Fails !== $welfare->state) {
            return $itself.(MarginState::Tight === $welfare->state ? ' For the animals: '.Words::small($welfare->sentence) : '');
        }

        return MarginState::Fails === $balance->state
            ? $itself.' And for the animals: '.Words::small($welfare->sentence)
            : 'Not yet, for the animals: '.
                    Words::small($welfare->sentence).
                    (MarginState::Holds === $balance->state ? ' The tank by itself should hold.' : ' '.$itself);
    }
}
