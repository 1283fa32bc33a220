<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;

/** The earliest day on which each group may come, in the order of the trade: snails, shrimp, fish. */
final readonly class EarliestStart implements Question
{
    /** Last day tried, and days between tries. J. */
    private const LATEST = 182;
    private const WEEK = 7;

    public function __construct(private Editor $editor)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        if ([] === $plan->groups) {
            return Answer::none(new Message('answer.no-animals'), [], 0);
        }
        $trial = new Trial($this->editor, $patience);
        $order = $plan->groups;
        usort($order, static fn (Group $a, Group $b): int => [$a->kind->shape->turn(), $a->day] <=> [$b->kind->shape->turn(), $b->day]);
        $settled = [];
        $changes = $terms = $dates = [];
        $before = self::afterDoses($plan);
        foreach ($order as $group) {
            $forbids = null;
            $holds = static function (int $day) use ($trial, $plan, $settled, $group, &$forbids): bool {
                $judgement = $trial->judged(self::stocked($plan, [...$settled, $group->with($group->count, $day)]));
                foreach ($judgement->harms as $harm) {
                    // Tight is not safe: nobody should stock into water that harms. What is merely likely elsewhere forbids no day.
                    $harms = null === $harm->sure && MarginState::Holds !== $harm->state;
                    if ($harms && \in_array($harm->id, Asked::EarliestStart->harms(), true)) {
                        $forbids = $harm;

                        return false;
                    }
                }

                return true;
            };
            try {
                $day = self::earliest($before, $holds);
            } catch (OutOfTime) {
                return Answer::soFar(
                    [] === $dates
                        ? new Message('answer.start-not-yet', ['kind' => $group->kind->common])
                        : new Message('answer.start-so-far', ['list' => $dates]),
                    $changes,
                    $terms,
                    $trial->runs,
                );
            }
            if (null === $day) {
                return Answer::none(
                    [
                        new Message('answer.start-none', ['kind' => $group->kind->common]),
                        ...$forbids instanceof Harm ? [$forbids->message] : [],
                    ],
                    $terms,
                    $trial->runs,
                );
            }
            $changes[] = new SetNumber("animals.$group->id.day", $day);
            $terms[] = new Term(
                \sprintf('%d × %s', $group->count, $group->kind->common),
                "from day $day".($group->day < $day ? ", not $group->day" : ''),
            );
            $dates[] = new Message('answer.start-group', ['count' => $group->count, 'kind' => $group->kind->common, 'day' => $day]);
            $settled[] = $group->with($group->count, $day);
            $before = $day;
        }

        $fed = self::fedFrom(self::stocked($plan, $settled));
        if ($fed > $plan->feedFrom && $plan->feed->grams > 0) {
            $changes[] = new SetNumber('feeding.fromDay', $fed);
            $terms[] = new Term('food', "from day $fed");
        }

        return Answer::found(new Message('answer.start', ['list' => $dates]), $changes, $terms, $trial->runs);
    }

    /**
     * The first day from one on for which something holds: weeks are tried, then the days before.
     *
     * @param \Closure(int): bool $holds
     */
    private static function earliest(int $from, \Closure $holds): ?int
    {
        $day = null;
        for ($week = $from; $week <= self::LATEST && null === $day; $week += self::WEEK) {
            $day = $holds($week) ? $week : null;
        }
        if (null === $day) {
            return null;
        }
        for ($earlier = $day - 1; $earlier > max($from, $day - self::WEEK) && $holds($earlier); --$earlier) {
            $day = $earlier;
        }

        return $day;
    }

    /** First day after the last ammonia that the plan doses: nobody doses onto animals. */
    public static function afterDoses(Plan $plan): int
    {
        $days = array_map(
            static fn (PlannedEvent $o): int => $o->day + 1,
            array_filter($plan->events, static fn (PlannedEvent $o): bool => EventKind::Dose === $o->kind),
        );

        return [] === $days ? 0 : max($days);
    }

    /** Day from which there is somebody for all of the food: before, it would only rot. */
    private static function fedFrom(Plan $plan): int
    {
        return max($plan->feedFrom, ...array_map(static fn (Group $g): int => $g->day, $plan->groups));
    }

    /**
     * The plan with these groups and no others, fed their share.
     *
     * @param non-empty-list<Group> $groups
     */
    private static function stocked(Plan $plan, array $groups): Plan
    {
        $feed = $plan->feed;
        $all = array_sum(array_map(static fn (Group $g): float => $g->biomass(), $plan->groups));
        $here = array_sum(array_map(static fn (Group $g): float => $g->biomass(), $groups));
        $plan = $plan->withFeed($feed->withGrams(0.0), $plan->feedFrom);
        foreach ($plan->groups as $group) {
            $plan = $plan->withoutGroup($group->id);
        }
        foreach ($groups as $group) {
            $plan = $plan->withGroup($group);
        }

        return $plan->withFeed($feed->withGrams(($feed->grams * $here) / $all), self::fedFrom($plan));
    }
}
