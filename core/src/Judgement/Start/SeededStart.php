<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Event\EventKind;

/** A sponge or gravel of a running tank brings its bacteria: two tests a day apart, and it is ready. */
final readonly class SeededStart implements Protocol
{
    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void
    {
        $course->gate(
            'seed',
            new Message('gate.seed.name'),
            new Message('gate.seed.needs'),
            0,
            static fn (int $from): ?int => $situation->firstEvent(EventKind::Seed),
            static fn (int $from): array => [
                true,
                [new Message('gate.seed.do')],
                new QuickEntry(EventKind::Seed, 1.0, new Message('button.laid-in')),
            ],
            true,
        );
        $course->gate(
            'fit',
            new Message('gate.fit-seeded.name'),
            new Message('gate.fit-seeded.needs'),
            1,
            static fn (int $from): ?int => $situation->quietBy($from, 2, 1),
            static fn (int $from): array => [
                false,
                [
                    $situation->standing(),
                    ...$situation->quietRun($from) > 0 ? [new Message('gate.fit-seeded.again')] : [],
                ],
                null,
            ],
        );
    }

    public function nextTest(TankToday $situation, int $last): int
    {
        return $last + (null === $situation->quietBy(1, 2, 1) ? 1 : 3);
    }

    public function readyBy(TankToday $situation, int $quietFrom): int
    {
        return $quietFrom + 1;
    }
}
