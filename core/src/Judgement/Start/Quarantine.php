<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
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
            new Message('gate.sponge.name'),
            new Message('gate.sponge.needs'),
            0,
            static fn (int $from): ?int => $situation->firstEvent(EventKind::Seed),
            static fn (int $from): array => [
                true,
                [new Message('gate.sponge.do')],
                new QuickEntry(EventKind::Seed, 1.0, new Message('button.laid-in')),
            ],
            true,
        );
        $stocking->rest($course);
        $came = $situation->lastEvent(EventKind::Stock)?->day;
        $over = null === $came ? null : $came + self::DAYS;
        $course->gate(
            'apart',
            new Message('gate.apart.name'),
            new Message('gate.apart.needs', ['days' => self::DAYS]),
            $over ?? 0,
            static fn (int $from): ?int => null !== $over && $situation->today >= $over ? $over : null,
            static fn (int $from): array => [
                false,
                [null === $came
                    ? new Message('gate.no-animals')
                    : new Message('gate.apart.do')],
                null,
            ],
        );
        $course->gate(
            'moved',
            new Message('gate.moved.name'),
            new Message('gate.moved.needs'),
            $over ?? 0,
            static fn (int $from): ?int => $situation->lastEvent(EventKind::TakeOut)?->day,
            static fn (int $from): array => [
                true,
                [new Message('gate.moved.do')],
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
