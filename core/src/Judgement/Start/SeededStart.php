<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Planning\Event\EventKind;

/** A sponge or gravel of a running tank brings its bacteria: two tests a day apart, and it is ready. */
final readonly class SeededStart implements Protocol
{
    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void
    {
        $course->gate(
            'seed',
            'Sponge or gravel in',
            'a sponge or gravel from a healthy, running tank, wet all the way',
            0,
            static fn (int $from): ?int => $situation->firstEvent(EventKind::Seed),
            static fn (int $from): array => [
                true,
                'Carry it under water: bacteria that dry or stand without air for hours are lost. Sickness travels with it too.',
                new QuickEntry(EventKind::Seed, 1.0, 'Laid in'),
            ],
            true,
        );
        $course->gate(
            'fit',
            'Two quiet tests',
            'ammonia and nitrite at 0, twice, a day or more apart',
            1,
            static fn (int $from): ?int => $situation->quietBy($from, 2, 1),
            static fn (int $from): array => [
                false,
                $situation->standing().($situation->quietRun($from) > 0 ? ' Once more, a day later.' : ''),
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
