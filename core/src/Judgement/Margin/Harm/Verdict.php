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
     * @param list<Harm> $harms the gravest first
     *
     * @return non-empty-list<Message>
     */
    public static function of(Plan $plan, array $harms, ?Uncertainty $sureness = null): array
    {
        $state = Harms::state($harms);
        $worst = $harms[0] ?? null;
        if (null === $worst || MarginState::Holds === $state) {
            return [self::holds($plan), ...self::sure($sureness)];
        }
        $others = \count(array_filter($harms, static fn (Harm $h): bool => $h->state === $state)) - 1;

        return [
            ...MarginState::Tight === $state ? [new Message('verdict.tight')] : [],
            $worst->message,
            ...\array_slice($worst->averts, 0, 1),
            ...$others > 0 ? [new Message('verdict.more', ['others' => $others])] : [],
            ...self::sure($sureness),
        ];
    }

    private static function holds(Plan $plan): Message
    {
        $kinds = [];
        foreach ($plan->groups as $group) {
            $kinds[$group->kind->id] = $group->kind->common;
        }

        return [] === $kinds
            ? new Message('verdict.holds-plants')
            : new Message('verdict.holds', [
                'kinds' => array_values(\array_slice($kinds, 0, self::NAMED)),
                'more' => max(0, \count($kinds) - self::NAMED),
            ]);
    }

    /** @return list<Message> */
    private static function sure(?Uncertainty $sureness): array
    {
        return null === $sureness ? [] : [$sureness->message()];
    }
}
