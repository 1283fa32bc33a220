<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Nitrate;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Keeping\Care\LightPlan;
use Olvek\Core\Keeping\Log\KitReading;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Nature\Water\Ammonia;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Nature\Water\WaterChange;
use Olvek\Core\Planning\Event\EventKind;

/** Says of the newest readings what they mean and what to do: wait, change so many litres, feed nothing, take out melt, dim the lamp. */
final readonly class Adviser
{
    /**
     * mg N/L of ammonia without animals, above which even plants and bacteria are better off with less. C: no method doses beyond 6 mg/L as
     * NH4.
     */
    private const TOO_MUCH_AMMONIA = 4.7;
    /** The same of nitrite. J (3–10): much of it is said to slow the bacteria that take it. */
    private const TOO_MUCH_NITRITE = 5.0;
    /** Share of the water below which a change for animals' sake is not worth the buckets. J. */
    private const LEAST_CHANGE = 0.25;
    /** Days in which leaves grown in air dissolve. C: weeks 1 to 3. */
    private const MELT = [3, 21];
    /** Share of a kind's mass above which its melt is worth a word. J. */
    private const MELTS = 0.1;
    /** Share of the mulm that hands take out. J. */
    private const MELT_OUT = 0.5;
    /** Days for which a look at algae holds. C: a week. */
    private const LOOK_HOLDS = 7;

    /** @return list<Advice> the gravest first */
    public static function on(TankToday $situation): array
    {
        $advice = array_values(
            array_filter([
                self::old($situation),
                ...self::stocked($situation),
                ...self::bare($situation),
                self::nitrate($situation),
                self::algae($situation),
            ]),
        );
        if (0.0 === $situation->fed() && $situation->isFitNow() && $situation->plan->feed->grams > 0) {
            $advice[] = new Advice(
                MarginState::Holds,
                new Message('advice.feed-again'),
                [],
                [new QuickEntry(EventKind::Feed, $situation->plan->feed->grams, new Message('button.fed-again'))],
            );
        }
        if ([] === $advice && null !== $situation->lastTest()) {
            $advice[] = new Advice(MarginState::Holds, new Message('advice.fine'));
        }
        usort($advice, static fn (Advice $a, Advice $b): int => $b->state->rank() <=> $a->state->rank());

        return self::oneChange($advice);
    }

    /**
     * One change of water serves all that ask for one: the largest, told with the gravest.
     *
     * @param list<Advice> $advice
     *
     * @return list<Advice>
     */
    private static function oneChange(array $advice): array
    {
        $changing = array_values(array_filter($advice, static fn (Advice $a): bool => null !== $a->share));
        if (\count($changing) < 2) {
            return $advice;
        }
        $first = $changing[0];
        usort($changing, static fn (Advice $a, Advice $b): int => $a->left() <=> $b->left());
        $largest = $changing[0];

        return array_map(
            static fn (Advice $a): Advice => match (true) {
                null === $a->share => $a,
                $a === $first => $a->changing($largest),
                default => $a->served(),
            },
            $advice,
        );
    }

    private static function old(TankToday $situation): ?Advice
    {
        $last = $situation->lastTest();
        if (null !== $last && $situation->today - $last > Log::FRESH && null !== $situation->stockedOn()) {
            return new Advice(
                MarginState::Tight,
                new Message('advice.old-test', ['days' => $situation->today - $last]),
                [new Message('advice.old-test-do')],
            );
        }

        return null;
    }

    /** @return list<Advice> with animals in */
    private static function stocked(TankToday $situation): array
    {
        $last = $situation->lastTest() ?? -1;
        if (null === $situation->stockedOn() || $last < $situation->stockedOn()) {
            return [];
        }
        $advice = [];
        $ammonia = $situation->log->tests[$last][Measure::Ammonia->value] ?? null;
        if (null !== $ammonia && !$ammonia->isNothing()) {
            $pH = $situation->latest(Measure::Acidity)->value ?? $situation->plan->water->pH;
            $celsius = $situation->latest(Measure::Temperature)->value ?? $situation->plan->site->temperature;
            $free = $ammonia->value * Ammonia::unionisedShare($pH, $celsius);
            $grave = AmmoniaMargin::isGrave($ammonia->value, $pH, $celsius);
            $advice[] = self::changed(
                $situation,
                $grave ? MarginState::Fails : MarginState::Tight,
                new Message(
                    'advice.ammonia',
                    [
                        'reading' => new KitReading($situation->kit, Measure::Ammonia, $ammonia->value),
                        'acidity' => $pH,
                        'temperature' => Amount::temperature($celsius),
                        'free' => $free,
                        'harm' => AmmoniaMargin::safeUnionised(),
                    ],
                ),
                $ammonia->value,
                Measure::Ammonia->nothingBelow(),
            );
        }
        $nitrite = $situation->log->tests[$last][Measure::Nitrite->value] ?? null;
        if (null !== $nitrite && !$nitrite->isNothing()) {
            $advice[] = self::changed(
                $situation,
                $nitrite->value > Nitrite::ACT ? MarginState::Fails : MarginState::Tight,
                new Message('advice.nitrite', ['reading' => new KitReading($situation->kit, Measure::Nitrite, $nitrite->value)]),
                $nitrite->value,
                Measure::Nitrite->nothingBelow(),
            );
        }

        return self::withMelt($situation, $advice);
    }

    private static function changed(TankToday $situation, MarginState $state, Message $means, float $from, float $to): Advice
    {
        // Treated tap water holds neither ammonia nor nitrite, so there always is such a change.
        $change = WaterChange::of($from, $to, 0.0, $situation->plan->netWater());
        $share = max(self::LEAST_CHANGE, $change->each ?? WaterChange::MOST_AT_ONCE);
        $times = $change->times ?? 1;
        $litres = Amount::volume($share * $situation->plan->netWater());
        // What was done since the test was read need not be asked for again.
        $tested = $situation->lastTest() ?? 0;
        $changed = $situation->didSince(EventKind::Change, $tested);
        $stopped = 0.0 === $situation->fed();
        $do = [
            $changed
                ? new Message('advice.changed-since')
                : new Message('advice.change', ['volume' => $litres, 'percent' => 100 * $share, 'times' => $times]),
            $stopped ? new Message('advice.still-no-food') : new Message('advice.no-food'),
            new Message('advice.no-animals'),
        ];
        $offers = [
            ...$changed ? [] : [
                new QuickEntry(EventKind::Change, round($share, 2), new Message('button.changed-volume', ['volume' => $litres])),
            ],
            ...$stopped ? [] : [new QuickEntry(EventKind::Feed, 0.0, new Message('button.stopped-feeding'))],
        ];

        return new Advice($state, $means, $do, $offers, $changed ? null : $share, $times);
    }

    /** @return list<Advice> while nobody lives there */
    private static function bare(TankToday $situation): array
    {
        $last = $situation->lastTest();
        if (null === $last || null !== $situation->stockedOn()) {
            return [];
        }
        $advice = [];
        $test = $situation->log->tests[$last];
        $half = new QuickEntry(EventKind::Change, WaterChange::MOST_AT_ONCE, new Message('button.changed-half'));
        foreach (
            [
                [Measure::Ammonia, self::TOO_MUCH_AMMONIA, new Message('advice.bare-ammonia')],
                [Measure::Nitrite, self::TOO_MUCH_NITRITE, new Message('advice.bare-nitrite')],
            ] as [$measure, $most, $why]
        ) {
            $reading = $test[$measure->value] ?? null;
            if (null === $reading || $reading->isNothing()) {
                continue;
            }
            $shown = new KitReading($situation->kit, $measure, $reading->value);
            $advice[] =
                $reading->value > $most
                    ? new Advice(
                        MarginState::Tight,
                        new Message('advice.too-much', ['measure' => Words::capital($measure->label()), 'reading' => $shown]),
                        [
                            new Message(
                                'advice.change-half',
                                ['volume' => Amount::volume($situation->plan->netWater() * WaterChange::MOST_AT_ONCE)],
                            ),
                        ],
                        [$half],
                        WaterChange::MOST_AT_ONCE,
                    )
                    : new Advice(
                        MarginState::Holds,
                        new Message('advice.bare', ['measure' => Words::capital($measure->label()), 'reading' => $shown, 'why' => $why]),
                        [new Message('advice.wait')],
                    );
        }

        return self::withMelt($situation, $advice);
    }

    /**
     * Melting leaves add to what was read: worth a hand, in the weeks in which they do; said once, with the gravest.
     *
     * @param list<Advice> $advice
     *
     * @return list<Advice>
     */
    private static function withMelt(TankToday $situation, array $advice): array
    {
        $melting = array_filter(
            $situation->plan->clumps,
            static fn ($c): bool => $c->kind->melt->value > self::MELTS
                && $situation->today >= $c->day + self::MELT[0]
                && $situation->today <= $c->day + self::MELT[1],
        );
        usort($advice, static fn (Advice $a, Advice $b): int => $b->state->rank() <=> $a->state->rank());
        $first = array_shift($advice);
        if ([] === $melting || null === $first) {
            return null === $first ? [] : [$first, ...$advice];
        }
        $names = array_values(array_unique(array_map(static fn ($c): string => $c->kind->common, $melting)));

        $offers = $situation->didSince(EventKind::MulmOut, $situation->lastTest() ?? 0)
            ? $first->offers
            : [...$first->offers, new QuickEntry(EventKind::MulmOut, self::MELT_OUT, new Message('button.melt-removed'))];

        return [
            new Advice(
                $first->state,
                $first->means,
                [...$first->do, new Message('advice.melt', ['plants' => $names])],
                $offers,
                $first->share,
                $first->times,
            ),
            ...$advice,
        ];
    }

    /** What to do about a recent reading of nitrate above what is right for a start; null where there is none. */
    public static function nitrate(TankToday $situation): ?Advice
    {
        $nitrate = $situation->latest(Measure::Nitrate);
        $limit = Ion::Nitrate->toElement(Nitrate::START);
        if (null === $nitrate || $nitrate->value <= $limit || $situation->today - $nitrate->day > self::LOOK_HOLDS) {
            return null;
        }
        $change = WaterChange::of($nitrate->value, $limit, $situation->plan->water->nitrate, $situation->plan->netWater());
        $means = new Message(
            'advice.nitrate',
            [
                'reading' => new KitReading($situation->kit, Measure::Nitrate, $nitrate->value),
                'stocked' => null === $situation->stockedOn() ? 'no' : 'yes',
                'limit' => new KitReading($situation->kit, Measure::Nitrate, $limit),
            ],
        );
        if (null === $change) {
            return new Advice(
                MarginState::Tight,
                $means,
                [new Message('advice.nitrate-tap')],
            );
        }

        return new Advice(
            MarginState::Tight,
            $means,
            [
                new Message(
                    'advice.nitrate-change',
                    ['volume' => Amount::volume($change->litres), 'percent' => 100 * $change->share, 'times' => $change->times],
                ),
            ],
            $situation->didSince(EventKind::Change, $nitrate->day)
                ? []
                : [new QuickEntry(EventKind::Change, round($change->each, 2), new Message('button.changed'))],
            $change->each,
            $change->times,
        );
    }

    private static function algae(TankToday $situation): ?Advice
    {
        $seen = $situation->log->algaeOn($situation->today - self::LOOK_HOLDS, $situation->today);
        if (null === $seen) {
            return null;
        }
        // The step that follows the week in which they were seen.
        $step = 7 * max(1, (int) ceil($seen / 7));
        $plan = LightPlan::of($situation->plan, $situation->log);
        $before = LightPlan::on($plan, $step - 1);
        $after = LightPlan::on($plan, $step);
        $dim = match (true) {
            null === $before || null === $after => new Message('advice.shade'),
            $after->share < $before->share => new Message(
                'advice.dim',
                ['percent' => (int) round(100 * $after->share), 'hours' => $after->hours],
            ),
            default => new Message('advice.shorter'),
        };

        return new Advice(MarginState::Tight, new Message('advice.algae'), [$dim, new Message('advice.algae-plants')]);
    }
}
