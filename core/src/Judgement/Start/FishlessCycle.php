<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Judgement\Margin\Nitrate;
use Olvek\Core\Keeping\Log\KitReading;
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
            new Message('gate.dose.name'),
            new Message('gate.dose.needs', ['dose' => new KitReading($situation->kit, Measure::Ammonia, $dose)]),
            $day,
            static fn (int $from): ?int => $situation->firstEvent(EventKind::Dose),
            static fn (int $from): array => [
                true,
                [new Message('gate.dose.do')],
                self::offer($situation, $dose),
            ],
            true,
        );
        $course->gate(
            'gone',
            new Message('gate.gone.name'),
            new Message('gate.gone.needs'),
            0,
            static fn (int $from): ?int => self::goneInADay($situation),
            static function (int $from) use ($situation, $dose): array {
                $last = self::lastDose($situation);
                $after = null === $last ? null : $situation->quietBy($last + 1, 1);

                return match (true) {
                    null !== $after => [
                        true,
                        [new Message('gate.gone.again', ['day' => $last, 'gone' => $after])],
                        self::offer($situation, $dose),
                    ],
                    null !== $last && $last === $situation->today => [false, [new Message('gate.gone.tomorrow')], null],
                    default => [false, [$situation->standing(), ...self::since($situation)], null],
                };
            },
        );
        $limit = Ion::Nitrate->toElement(Nitrate::START);
        $course->gate(
            'nitrate',
            new Message('gate.nitrate.name'),
            new Message('gate.nitrate.needs', ['limit' => new KitReading($situation->kit, Measure::Nitrate, $limit)]),
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
                    ? [false, [new Message('gate.nitrate.test')], null]
                    : [false, [$advice->means, ...$advice->do, new Message('gate.nitrate.again')], $advice->offers[0] ?? null];
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

    /** @return list<Message> how long nitrite has stood, where it does: the part that tries patience */
    private static function since(TankToday $situation): array
    {
        $since = null;
        foreach ($situation->log->readings as $reading) {
            if (Measure::Nitrite === $reading->measure) {
                $since = $reading->isNothing() ? null : $since ?? $reading->day;
            }
        }

        return null === $since
            ? []
            : [new Message('gate.gone.since', ['days' => max(1, $situation->today - $since)])];
    }

    private static function offer(TankToday $situation, float $dose): QuickEntry
    {
        $grams = Ammonium::grams($dose, $situation->plan->netWater());

        return new QuickEntry(
            EventKind::Dose,
            $dose,
            new Message('button.dosed'),
            new Message('gate.dose.how', ['grams' => $grams, 'volume' => Amount::volume($situation->plan->netWater())]),
        );
    }
}
