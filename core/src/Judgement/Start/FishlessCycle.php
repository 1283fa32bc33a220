<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Judgement\Margin\Nitrate;
use Olvek\Core\Nature\Water\Ammonium;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\FirstDose;

/** Ammonium dosed without animals: ready when a dose is gone in a day, and nitrate is low. */
final readonly class FishlessCycle implements Protocol
{
    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void
    {
        if (null !== $situation->stockedOn()) {
            // Animals are in: nobody doses ammonia any more, whatever the plan once said.
            return;
        }
        $first = FirstDose::of($situation->plan);
        [$day, $dose] = [$first->day, $first->milligrams];
        $course->gate(
            'dose',
            'The first dose',
            \sprintf('ammonium chloride to %s', $situation->kit->show(Measure::Ammonia, $dose)),
            $day,
            static fn (int $from): ?int => $situation->firstEvent(EventKind::Dose),
            static fn (int $from): array => [
                true,
                'Roots and film have begun; now they get something to work on.',
                self::offer($situation, $dose),
            ],
            true,
        );
        $course->gate(
            'gone',
            'A dose gone in a day',
            'ammonia and nitrite at 0 the day after a dose',
            0,
            static fn (int $from): ?int => self::goneInADay($situation),
            static function (int $from) use ($situation, $dose): array {
                $last = self::lastDose($situation);
                $after = null === $last ? null : $situation->quietBy($last + 1, 1);

                return match (true) {
                    null !== $after => [
                        true,
                        \sprintf(
                            'The dose of day %d was gone by day %d. Dose again: if tomorrow’s test reads 0, the tank is ready.',
                            $last,
                            $after,
                        ),
                        self::offer($situation, $dose),
                    ],
                    null !== $last && $last === $situation->today => [false, 'Dosed today: test tomorrow, at about this hour.', null],
                    default => [false, $situation->standing().self::since($situation), null],
                };
            },
        );
        $limit = Ion::Nitrate->toElement(Nitrate::START);
        $course->gate(
            'nitrate',
            'Nitrate low',
            \sprintf('nitrate at most %s, if need be after a large change', $situation->kit->show(Measure::Nitrate, $limit)),
            0,
            static function (int $from) use ($situation, $limit): ?int {
                foreach ($situation->log->readings as $reading) {
                    if ($reading->day >= $from && Measure::Nitrate === $reading->measure && $reading->value <= $limit) {
                        return $reading->day;
                    }
                }

                return null;
            },
            static function (int $from) use ($situation): array {
                $nitrate = $situation->latest(Measure::Nitrate);
                $advice = null === $nitrate || $nitrate->day < $from ? null : Adviser::nitrate($situation);

                return null === $advice
                    ? [false, 'Test nitrate.', null]
                    : [false, "$advice->means ".implode(' ', $advice->do).' Then test again.', $advice->offers[0] ?? null];
            },
        );
    }

    public function nextTest(TankToday $situation, int $last): int
    {
        $dose = self::lastDose($situation);

        return match (true) {
            null === $dose => $last + 7,
            // The day after a dose decides.
            $last <= $dose => $dose + 1,
            default => $last + 2,
        };
    }

    public function readyBy(TankToday $situation, int $quietFrom): ?int
    {
        // The dose that is gone, and a day for the one that proves it.
        return null === self::lastDose($situation) ? null : $quietFrom + 1;
    }

    private static function lastDose(TankToday $situation): ?int
    {
        return $situation->lastEvent(EventKind::Dose)?->day;
    }

    private static function goneInADay(TankToday $situation): ?int
    {
        foreach ($situation->log->of(EventKind::Dose) as $dose) {
            if (true === $situation->quiet($dose->day + 1)) {
                return $dose->day + 1;
            }
        }

        return null;
    }

    /** How long nitrite has stood, where it does: the part that tries patience. */
    private static function since(TankToday $situation): string
    {
        $since = null;
        foreach ($situation->log->readings as $reading) {
            if (Measure::Nitrite === $reading->measure) {
                $since = $reading->isNothing() ? null : $since ?? $reading->day;
            }
        }

        return null === $since
            ? ''
            : \sprintf(
                ' Nitrite has stood for %d days; it usually takes about two weeks to vanish. Wait, and add nothing.',
                max(1, $situation->today - $since),
            );
    }

    private static function offer(TankToday $situation, float $dose): QuickEntry
    {
        $grams = Ammonium::grams($dose, $situation->plan->netWater());

        return new QuickEntry(
            EventKind::Dose,
            $dose,
            'Dosed',
            \sprintf(
                '%s g of ammonium chloride for %s, dissolved first. Goggles; away from children; never with animals in.',
                Decimal::significant($grams, 2),
                $situation->units->show(Dimension::Volume, $situation->plan->netWater()),
            ),
        );
    }
}
