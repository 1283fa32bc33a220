<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Planning\Event\EventKind;

/**
 * Newcomers by themselves: into a bare vessel that a sponge of a running tank has seeded, looked at every day for four weeks, and moved on.
 * Four weeks outlast the common spot diseases at room warmth. C.
 */
final readonly class Quarantine implements Protocol
{
    public const DAYS = 28;

    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void
    {
        $course->gate(
            'seed',
            'Sponge in',
            'a sponge from a healthy, running tank, wet all the way',
            0,
            static fn (int $from): ?int => $situation->firstEvent(EventKind::Seed),
            static fn (int $from): array => [
                true,
                'Squeeze nothing, carry it under water. Fill with water of the tank that they shall go into, if you can.',
                new QuickEntry(EventKind::Seed, 1.0, 'Laid in'),
            ],
            true,
        );
        $stocking->rest($course);
        $came = $situation->lastEvent(EventKind::Stock)?->day;
        $over = null === $came ? null : $came + self::DAYS;
        $course->gate(
            'apart',
            'Four weeks apart',
            \sprintf('%d days since the last came, all eating, nobody ill', self::DAYS),
            $over ?? 0,
            static fn (int $from): ?int => null !== $over && $situation->today >= $over ? $over : null,
            static fn (int $from): array => [
                false,
                null === $came
                    ? 'Nobody is in yet.'
                    : 'Look at each of them every day. Log whoever comes last, and the days begin anew; where one falls ill, ask '
                        .'a vet before any medicine, and count from its recovery.',
                null,
            ],
        );
        $course->gate(
            'moved',
            'Moved on',
            'everybody in the tank that they came for',
            $over ?? 0,
            static fn (int $from): ?int => $situation->lastEvent(EventKind::TakeOut)?->day,
            static fn (int $from): array => [
                true,
                'Move them by “Give to another tank”, so that both logbooks say so. Then let the vessel stand dry for a week.',
                null,
            ],
        );
    }

    public function nextTest(TankToday $situation, int $last): int
    {
        return $last + 2;
    }

    public function readyBy(TankToday $situation, int $quietFrom): int
    {
        return $quietFrom;
    }
}
