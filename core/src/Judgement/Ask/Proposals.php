<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Suitability\AnimalSuit;
use Olvek\Core\Judgement\Suitability\TankOffer;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;

/** What is usually asked of a tank, with the amounts that are usual. */
final class Proposals
{
    /** Kinds that are offered at most. J: more is a catalogue. */
    private const KINDS = 4;
    /** Shares of the surface to which floaters are thinned. C. */
    private const LEFT = [0.5, 0.3];
    private const SHORTER = -1.0;
    private const LONGER = 1.0;
    /** Factors on the food. */
    private const FOOD = [0.5, 1.5];

    /**
     * @param int $day on which it would be done
     *
     * @return list<Proposal>
     */
    public static function of(Now $now, int $day, Catalogue $catalogue, UnitSystem $units): array
    {
        $asked = [];
        foreach ($now->plan->groups as $group) {
            $asked[] = [Topic::More, $group->id, null];
        }
        foreach (self::kinds($now, $catalogue, $units) as $kind) {
            $asked[] = [Topic::Kind, $kind->id, null];
        }
        foreach ([self::LONGER, self::SHORTER] as $by) {
            $asked[] = [Topic::Light, null, max(0.0, min(24.0, $now->hours + $by))];
        }
        $asked[] = [Topic::Fertilise, null, null];
        foreach ($now->plan->clumps as $clump) {
            foreach (self::LEFT as $left) {
                $asked[] = [Topic::Thin, $clump->id, $left];
            }
        }
        foreach (self::FOOD as $factor) {
            $asked[] = [Topic::Feed, null, $now->food > 0 ? round($now->food * $factor, 3) : null];
        }
        $asked[] = [Topic::Changes, null, null];
        $asked[] = [Topic::Away, null, null];

        $proposals = array_map(
            static fn (array $a): ?Proposal => Proposal::of($a[0], $now, $day, $a[1], $a[2], $catalogue, $units),
            $asked,
        );

        // What has no change in it is as it is already.
        return array_values(array_filter($proposals, static fn (?Proposal $p): bool => null !== $p && [] !== $p->changes));
    }

    /**
     * Kinds that would live here, and are not in yet: those that suit without a fault, unlike each other first.
     *
     * @return list<AnimalKind>
     */
    private static function kinds(Now $now, Catalogue $catalogue, UnitSystem $units): array
    {
        if ($now->plan->site->sealed) {
            return [];
        }
        $suit = new AnimalSuit($now->plan, TankOffer::of((new Runner($now->plan))->run(365, UsualCare::events())), null, $units);
        $here = array_map(static fn ($g): string => $g->kind->id, $now->plan->groups);
        $shapes = $found = [];
        foreach ($catalogue->animals as $kind) {
            $of = \in_array($kind->id, $here, true) ? null : $suit->of($kind);
            if (MarginState::Holds === $of?->state && $of->most >= $of->amount) {
                $found[] = [$shapes[$kind->shape->value] = ($shapes[$kind->shape->value] ?? 0) + 1, $kind];
            }
        }
        usort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column(\array_slice($found, 0, self::KINDS), 1);
    }
}
