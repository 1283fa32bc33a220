<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Seen;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Keeping\Log\On;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\Prey;
use Olvek\Core\Nature\Animal\Temper;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Group;

/** The kinds of animals: on whom a sign is seen, and who lives with them. Where nobody is named, all that are in. */
final class AnimalFacts
{
    /** How far a sign is of shrimp or snails where fish are in too and nobody is named. J. */
    private const MIXED = 0.8;
    /** °C below and above the warmest that a kind bears, between which the water becomes too warm. J. */
    private const WARM = [1.0, 1.5];
    /** °C, °dH and pH beyond a kind's range that are little, and plainly too far. J. */
    private const DEGREES = [0.5, 2.5];
    private const HARDNESS = [0.5, 3.0];
    private const ACIDITY = [0.1, 0.6];

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        $those = array_map(static fn (int $i): Group => $case->plan->groups[$i], $case->groups());
        $all = array_filter($case->plan->groups, static fn (Group $g): bool => null !== $case->cameOn($g));
        $open = !$case->plan->site->lid && !$case->plan->site->sealed;
        $found = [
            self::any($case, 'plant-eaters', $all, static fn (Group $g): bool => self::eats($g, [Prey::Plants]), 'eats plants'),
            self::any($case, 'burrowers', $all, static fn (Group $g): bool => $g->kind->burrows, 'digs'),
            new Finding('open-top', $open ? 1.0 : 0.0, $open ? 'By the plan it has no lid' : 'By the plan it has a lid', $case->byPlan()),
            new Finding(
                'outdoors',
                $case->plan->site->isOutdoors() ? 1.0 : 0.0,
                $case->plan->site->isOutdoors() ? 'By the plan it stands outdoors' : 'By the plan it stands in a room',
                $case->byPlan(),
            ),
        ];
        if ([] === $those) {
            return $found;
        }

        return [
            ...$found,
            ...self::company($case, $those, array_values($all)),
            self::any(
                $case,
                'jumper-open',
                $open ? $those : [],
                static fn (Group $g): bool => $g->kind->jumper,
                'jumps, and the tank is open',
            ),
            self::any(
                $case,
                'breeders',
                $those,
                static fn (Group $g): bool => $g->kind->breeds->value > 0 && $case->plan->canBreed($g->kind),
                'breeds here',
            ),
            ...self::invertebrates($case, $those),
            self::cold($case, $those),
            ...self::warm($case, $those),
            self::water($case, $those),
        ];
    }

    /**
     * @param array<Group>           $groups
     * @param \Closure(Group): bool  $does
     */
    private static function any(TankCase $case, string $fact, array $groups, \Closure $does, string $words): Finding
    {
        $names = array_values(array_unique(array_map(static fn (Group $g): string => $g->kind->common, array_filter($groups, $does))));

        return new Finding(
            $fact,
            [] === $names ? 0.0 : 1.0,
            [] === $names ? "Nobody here $words" : implode(', ', $names).": $words",
            $case->byPlan(),
        );
    }

    /**
     * @param list<Group> $those
     *
     * @return list<Finding>
     */
    private static function invertebrates(TankCase $case, array $those): array
    {
        $soft = array_filter($those, static fn (Group $g): bool => AnimalShape::Fish !== $g->kind->shape);
        // Of a mixed company nobody knows whom it is about.
        if ([] !== $soft && \count($soft) < \count($those) && !$case->isNamed('group')) {
            return [new Finding('invertebrates', self::MIXED, 'Shrimp or snails are in', $case->byPlan())];
        }

        return [self::any($case, 'invertebrates', $those, static fn (Group $g): bool => AnimalShape::Fish !== $g->kind->shape, 'no fish')];
    }

    /**
     * @param list<Group> $those
     * @param list<Group> $all
     *
     * @return list<Finding>
     */
    private static function company(TankCase $case, array $those, array $all): array
    {
        $eats = [];
        foreach ($those as $prey) {
            $is = match ($prey->kind->shape) {
                AnimalShape::Shrimp => [Prey::Shrimp, Prey::Shrimplets],
                AnimalShape::Snail => [Prey::Snails],
                AnimalShape::Fish => [Prey::Fry],
                default => [],
            };
            foreach ($all as $other) {
                if ($other->id !== $prey->id && self::eats($other, $is)) {
                    $eats[] = \sprintf('%s eats %s or their young', $other->kind->common, $prey->kind->common);
                }
                if ($other->id !== $prey->id && Temper::Predator === $other->kind->temper) {
                    $eats[] = "{$other->kind->common} hunts";
                }
            }
        }
        $lively = array_filter(
            $all,
            static fn (Group $g): bool => \in_array($g->kind->temper, [Temper::Quarrelsome, Temper::Predator], true),
        );
        $few = array_filter(
            $those,
            static fn (Group $g): bool => $g->kind->group->value > 1 && self::heads($case, $g) < $g->kind->group->value,
        );

        return [
            new Finding(
                'predators',
                [] === $eats ? 0.0 : 1.0,
                $eats[0] ?? 'By their kinds, nobody here eats them',
                $case->byPlan(),
            ),
            self::any($case, 'mixed-tempers', $lively, static fn (Group $g): bool => true, 'quarrelsome'),
            new Finding(
                'group-small',
                [] === $few ? 0.0 : 1.0,
                [] === $few
                    ? 'There are as many of a kind as should live together'
                    : \sprintf(
                        '%d %s where %d should live together',
                        self::heads($case, reset($few)),
                        reset($few)->kind->common,
                        reset($few)->kind->group->value,
                    ),
                $case->byPlan(),
            ),
        ];
    }

    /** @param list<Prey> $prey any of which it may eat */
    private static function eats(Group $group, array $prey): bool
    {
        return [] !== array_filter($prey, static fn (Prey $p): bool => \in_array($p, $group->kind->eats, true));
    }

    private static function heads(TankCase $case, Group $group): int
    {
        $counted = $case->log->latest(Measure::Heads, $group->id);

        return null === $counted
            ? (int) round($case->trace->heads[$case->day][array_search($group, $case->plan->groups, true)] ?? $group->count)
            : (int) $counted->value;
    }

    /** @param non-empty-list<Group> $those */
    private static function cold(TankCase $case, array $those): Finding
    {
        $level = $case->level(Measure::Temperature, 'temperature', 'the water');
        $coolest = max(array_map(static fn (Group $g): float => $g->kind->coolest->value, $those));

        return $level->finding('cold', $coolest, $coolest - self::DEGREES[1]);
    }

    /**
     * Where a sign is seen on animals, warm is what they do not bear.
     *
     * @param non-empty-list<Group> $those
     *
     * @return list<Finding>
     */
    private static function warm(TankCase $case, array $those): array
    {
        if ([] === array_filter($case->seen, static fn (Seen $s): bool => On::Animals === $s->sign->shows()->on)) {
            return [];
        }
        $warmest = min(array_map(static fn (Group $g): float => $g->kind->warmest->value, $those));

        return [$case->level(Measure::Temperature, 'temperature', 'the water')
            ->finding('warm', $warmest - self::WARM[0], $warmest + self::WARM[1])];
    }

    /**
     * Hardness and pH: of warmth tell the others.
     *
     * @param non-empty-list<Group> $those
     */
    private static function water(TankCase $case, array $those): Finding
    {
        $acidity = $case->level(Measure::Acidity, 'pH', 'pH');
        $hardness = $case->level(Measure::GeneralHardness, 'generalHardness', 'GH');
        $worst = 0.0;
        $level = $hardness;
        foreach ($those as $group) {
            $kind = $group->kind;
            foreach ([
                [$acidity, $kind->acidest->value, $kind->alkalinest->value, self::ACIDITY],
                [$hardness, $kind->softest->value, $kind->hardest->value, self::HARDNESS],
            ] as [$of, $low, $high, $limits]) {
                $beyond = Finding::ramp(max($low - $of->value, $of->value - $high), ...$limits);
                if ($beyond > $worst) {
                    [$worst, $level] = [$beyond, $of];
                }
            }
        }

        return new Finding(
            'wrong-water',
            $worst,
            $worst > 0 ? "$level->words, outside what they bear" : 'pH and hardness are what they bear',
            $level->source,
            $level->day,
        );
    }
}
