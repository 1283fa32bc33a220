<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Grown;
use Olvek\Core\Planning\Plan\PlantingMethod;

/**
 * The plants on which a sign is seen: how long they stand, how they are planted, what they live from. Where none is named, those of all
 * that are likeliest to show it.
 */
final class PlantFacts
{
    /** Days after planting in which a plant settles, and after which it has. C: melt and roots take some three weeks. */
    private const SETTLES = [21, 42];
    /** Days for which something that came with plants may show. J. */
    private const CAME = 60;
    /** Share of its mass that a kind loses, up to which it does not melt, and from which it does. J. */
    private const MELT = [0.05, 0.2];
    /** How far roots that are longer than the cap is thick stand in raw soil. J: they may lie flat. */
    private const REACHES = 0.4;
    /** Share of its nitrogen that it takes by roots. J. */
    private const ROOTS = 0.6;

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        $clumps = array_map(static fn (int $i): Clump => $case->plan->clumps[$i], $case->clumps());
        $came = array_filter($case->lately(EventKind::Plant, self::CAME), static fn (LoggedEvent $e): bool => $e->day > 0);
        $latest = [] === $came ? null : max(array_map(static fn (LoggedEvent $e): int => $e->day, $came));
        foreach ($case->plan->clumps as $clump) {
            if ($clump->day <= $case->day && $clump->day > $case->day - self::CAME) {
                $latest = max($latest ?? 0, $clump->day);
            }
        }
        $all = [new Finding(
            'plants-came',
            null === $latest ? 0.0 : 1.0,
            null === $latest ? 'No plants came in the last two months' : "Plants came on day $latest",
            [] === $came ? $case->byPlan() : Source::Logged,
            $latest,
        )];
        if ([] === $clumps) {
            return $all;
        }

        return [...$all, ...self::settling($case, $clumps), ...self::planted($case, $clumps), ...self::kinds($case, $clumps)];
    }

    /**
     * @param non-empty-list<Clump> $clumps
     *
     * @return list<Finding>
     */
    private static function settling(TankCase $case, array $clumps): array
    {
        // Of many, the one that came last.
        usort($clumps, static fn (Clump $a, Clump $b): int => $case->plantedOn($b) <=> $case->plantedOn($a));
        $youngest = $clumps[0];
        $on = $case->plantedOn($youngest);
        $days = $case->day - $on;
        $fresh = 1 - Finding::ramp((float) $days, self::SETTLES[0], self::SETTLES[1]);
        $melting = 0.0;
        $name = $youngest->kind->common;
        foreach ($clumps as $clump) {
            $melts = Finding::ramp($clump->kind->melt->value, ...self::MELT);
            $melts = match ($clump->grown) {
                Grown::Air => max(0.7, $melts),
                Grown::Water => 0.1 * $melts,
                Grown::Unknown => $melts,
            };
            if ($melts > $melting) {
                $melting = $melts;
                $name = $clump->kind->common;
            }
        }

        return [
            new Finding(
                'freshly-planted',
                $fresh,
                \sprintf('%s stands for %d days, since day %d', $youngest->kind->common, $days, $on),
                $case->byPlan(),
                $on,
            ),
            new Finding(
                'melts',
                $melting,
                $melting >= 0.5 ? "$name loses leaves that grew in air" : "$name seldom loses leaves when it comes under water",
                $case->byPlan(),
            ),
        ];
    }

    /**
     * @param non-empty-list<Clump> $clumps
     *
     * @return list<Finding>
     */
    private static function planted(TankCase $case, array $clumps): array
    {
        $buried = array_filter($clumps, static fn (Clump $c): bool => PlantingMethod::Deep === $c->planting);
        $perched = array_filter($buried, static fn (Clump $c): bool => self::isPerched($c));
        $bed = $case->plan->bed;
        $bare = array_filter(
            $clumps,
            static fn (Clump $c): bool => null !== $bed->soil && $c->kind->role->standsOnFloor()
                && (PlantingMethod::Deep === $c->planting || $c->kind->planting->value > ($bed->cap?->at($c->row) ?? 0.0)),
        );
        $deep = array_filter($bare, static fn (Clump $c): bool => PlantingMethod::Deep === $c->planting);

        return [
            new Finding(
                'buried',
                [] === $buried ? 0.0 : 1.0,
                [] === $buried ? 'The plan has it at its right depth' : self::names($buried).' is planted deep',
                $case->byPlan(),
            ),
            new Finding(
                'in-raw-soil',
                match (true) {
                    [] !== array_diff_key($deep, $perched) => 1.0,
                    [] !== $bare => self::REACHES,
                    default => 0.0,
                },
                [] === $bare ? 'The plan has its roots in the cap' : self::names($bare).' reaches down into the soil',
                $case->byPlan(),
            ),
        ];
    }

    /**
     * @param non-empty-list<Clump> $clumps
     *
     * @return list<Finding>
     */
    private static function kinds(TankCase $case, array $clumps): array
    {
        // What kind it is says nothing where nobody says which plant it is.
        if (!$case->isNamed('clump') && \count($clumps) > 1) {
            return [];
        }
        $role = $clumps[0]->kind->role;
        $name = $clumps[0]->kind->common;
        $is = static fn (string $fact, bool $so): Finding => new Finding(
            $fact,
            $so ? 1.0 : 0.0,
            "$name: ".$role->words(),
            $case->byPlan(),
        );

        return [
            $is('fast-plant', \in_array($role, [PlantRole::FastStem, PlantRole::FloatingStem, PlantRole::Floater], true)),
            $is('root-feeder', $role->standsOnFloor() && $clumps[0]->kind->rootShare->value >= self::ROOTS),
            $is('moss-or-epiphyte', self::isPerched($clumps[0])),
            $is('house-plant', \in_array($role, [PlantRole::HousePlant, PlantRole::Marsh], true)),
        ];
    }

    /** @param array<Clump> $clumps */
    private static function names(array $clumps): string
    {
        return implode(', ', array_unique(array_map(static fn (Clump $c): string => $c->kind->common, $clumps)));
    }

    private static function isPerched(Clump $clump): bool
    {
        return \in_array($clump->kind->role, [PlantRole::Moss, PlantRole::Epiphyte], true);
    }
}
