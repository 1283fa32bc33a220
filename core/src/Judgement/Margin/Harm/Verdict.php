<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Planning\Plan\Plan;

/** What is said of a tank: first what will happen to whom and what to do, then how sure that is. */
final class Verdict
{
    /** Kinds that are named. */
    private const NAMED = 3;

    /**
     * Of a plan.
     *
     * @param list<Harm>       $harms    the gravest first
     * @param MarginState|null $likeliest what the likeliest tank comes to by itself, where many tanks have been counted
     *
     * @return non-empty-list<Message>
     */
    public static function of(Plan $plan, array $harms, ?Uncertainty $sureness = null, ?MarginState $likeliest = null): array
    {
        $kinds = [];
        foreach ($plan->groups as $group) {
            $kinds[$group->kind->id] = $group->kind->common;
        }
        $state = Harms::state($harms);
        $said = match ($state) {
            MarginState::Fails => self::worst($harms, $state),
            MarginState::Tight => [new Message('verdict.tight'), ...self::worst($harms, $state)],
            default => [self::holds($kinds, $plan->site->sealed)],
        };

        if (null === $sureness) {
            return $said;
        }
        $alone = null === $likeliest || $likeliest === $state
            ? []
            : [new Message('verdict.likeliest', ['state' => $likeliest->value])];

        return [...$said, $sureness->message(), ...$alone];
    }

    /** @param array<string, string> $kinds common names */
    private static function holds(array $kinds, bool $sealed): Message
    {
        return match (true) {
            [] !== $kinds => new Message('verdict.holds', [
                'kinds' => self::named($kinds),
                'more' => max(0, \count($kinds) - self::NAMED),
            ]),
            $sealed => new Message('verdict.holds-sealed'),
            default => new Message('verdict.holds-plants'),
        };
    }

    /**
     * Of a running tank.
     *
     * @param list<string> $kinds common names of the animals that are in
     * @param list<Harm>   $harms of the weeks ahead, the gravest first
     *
     * @return non-empty-list<Message>
     */
    public static function ofRunning(array $kinds, array $harms, ?Message $sure): array
    {
        $state = Harms::state($harms);
        $said = match ($state) {
            MarginState::Fails, MarginState::Tight => self::worst($harms, $state),
            default => [[] === $kinds ? new Message('running.holds-plants') : new Message('running.holds', [
                'kinds' => self::named($kinds),
                'more' => max(0, \count($kinds) - self::NAMED),
            ])],
        };

        return null === $sure ? $said : [...$said, $sure];
    }

    /**
     * @param list<Harm> $harms
     *
     * @return non-empty-list<Message> who comes to harm, and what averts it
     */
    private static function worst(array $harms, MarginState $state): array
    {
        $others = \count(array_filter($harms, static fn (Harm $h): bool => $h->state === $state)) - 1;

        return [
            $harms[0]->message,
            ...\array_slice($harms[0]->averts, 0, 1),
            ...$others > 0 ? [new Message('verdict.more', ['others' => $others])] : [],
        ];
    }

    /**
     * @param array<array-key, string> $kinds
     *
     * @return list<string> as many as a sentence bears
     */
    private static function named(array $kinds): array
    {
        return array_values(\array_slice($kinds, 0, self::NAMED));
    }
}
