<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Planning\Plan\StartWay;

/** Heavy planting takes ammonia directly: a test, and a few animals on day 2, unfed for a week. */
final readonly class PlantLedCycle implements Protocol
{
    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void
    {
        $course->gate(
            'fit',
            'The plants hold the water',
            'ammonia and nitrite at 0',
            1,
            static fn (int $from): ?int => $situation->quietBy($from, 1),
            static fn (int $from): array => [
                false,
                $situation->standing().' The plants should take it within days; a change of water helps where they do not.',
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
