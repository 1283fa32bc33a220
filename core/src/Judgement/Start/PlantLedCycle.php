<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Plan\StartWay;

/** Heavy planting takes ammonia directly: a test, and a few animals on day 2, unfed for a week. */
final readonly class PlantLedCycle implements Protocol
{
    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void
    {
        $course->gate(
            'fit',
            new Message('gate.fit-plants.name'),
            new Message('gate.fit-plants.needs'),
            1,
            static fn (int $from): ?int => $situation->quietBy($from, 1),
            static fn (int $from): array => [
                false,
                [$situation->standing(), new Message('gate.fit-plants.do')],
                null,
            ],
        );
    }

    public function nextTest(TankToday $situation, int $last): int
    {
        return $last + ($situation->today <= StartWay::Plants->soonest() ? 1 : 3);
    }

    public function readyBy(TankToday $situation, int $quietFrom): int
    {
        return max(StartWay::Plants->soonest(), $quietFrom);
    }
}
