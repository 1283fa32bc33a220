<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Judgement\Margin\PlantedShare;
use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Planning\Event\EventKind;

/** The bed and what stands on it. */
final class BedFacts
{
    /** m of bed: C, six centimetres are usual, ten are deep. */
    private const DEEP = [0.07, 0.1];
    /** Index of the run, 1 being a bed to worry about. */
    private const FOUL = [0.3, 0.9];
    /** Share of the floor planted. C. */
    private const ROOTED = [0.45, 0.2];
    /** Days for which a stirred bed tells, and those of new wood. J; C. */
    private const STIRRED = 7;
    /** How far hands in the bed have stirred it. J. */
    private const HANDS = 0.9;
    private const WOOD = 90;

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        $deepest = self::deepest($case);
        $planted = PlantedShare::of($case->plan);
        $wood = array_filter($case->plan->pieces, static fn ($p): bool => $p->kind->tannin->value > 0);

        return [
            new Finding(
                'deep-bed',
                Finding::ramp($deepest, ...self::DEEP),
                \sprintf('The bed is up to %s deep', $case->units->show(Dimension::Length, $deepest, 0)),
                $case->byPlan(),
            ),
            $case->level(null, 'sulphide', 'the bed’s index of sulphide (1: worry)')->finding('foul-bed', ...self::FOUL),
            new Finding(
                'bed-bare',
                Finding::ramp($planted, ...self::ROOTED),
                \sprintf('%s %% of the floor is planted', Decimal::trimmed(100 * $planted, 0)),
                $case->byPlan(),
            ),
            new Finding(
                'new-wood',
                [] !== $wood && $case->day < self::WOOD ? 1.0 : 0.0,
                [] === $wood ? 'By the plan there is no wood' : "The wood lies in for $case->day days",
                $case->byPlan(),
            ),
            self::stirred($case),
        ];
    }

    /** m: of the zone that is named, else where the bed is deepest. */
    private static function deepest(TankCase $case): float
    {
        $bed = $case->plan->bed;
        $zones = array_filter($bed->zones, static fn (BedZone $z): bool => \in_array($z->id, $case->named('zone'), true));
        if ([] !== $zones) {
            return max(array_map(static fn (BedZone $z): float => $z->depth(), $zones));
        }

        return max(
            $bed->meanDepth(),
            ...array_map(static fn (Side $side): float => $bed->depth($side), Side::cases()),
            ...array_map(static fn (BedZone $z): float => $z->depth(), $bed->zones),
        );
    }

    private static function stirred(TankCase $case): Finding
    {
        $last = null;
        foreach ([EventKind::MulmOut, EventKind::Remove, EventKind::Plant, EventKind::Seed] as $kind) {
            foreach ($case->lately($kind, self::STIRRED) as $event) {
                $last = null === $last || $event->day >= $last->day ? $event : $last;
            }
        }

        return new Finding(
            'stirred',
            null === $last ? 0.0 : self::HANDS,
            null === $last
                ? 'The logbook has nothing that stirred the bed in the last week'
                : \sprintf('On day %d hands were in the bed: %s', $last->day, $last->kind->words()),
            Source::Logged,
            $last?->day,
        );
    }
}
