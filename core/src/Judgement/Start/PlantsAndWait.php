<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Plan\StartWay;

/** Plants only, for three weeks at least, until two tests some days apart read nothing. */
final readonly class PlantsAndWait implements Protocol
{
    private const APART = 3;

    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void
    {
        $soonest = StartWay::Waiting->soonest();
        $course->gate(
            'fit',
            new Message('gate.fit-waiting.name'),
            new Message('gate.fit-waiting.needs', ['days' => self::APART, 'day' => $soonest - self::APART]),
            0,
            static fn (int $from): ?int => $situation->quietBy($soonest - self::APART, 2, self::APART),
            static fn (int $from): array => [
                false,
                [
                    ...$situation->today < $soonest ? [new Message('gate.fit-waiting.plants-only', ['day' => $soonest])] : [],
                    $situation->standing(),
                    ...$situation->today >= $soonest && $situation->quietRun($soonest - self::APART) > 0
                        ? [new Message('gate.fit-waiting.again', ['days' => self::APART])]
                        : [],
                ],
                null,
            ],
        );
    }

    public function nextTest(TankToday $situation, int $last): int
    {
        return $last + ($situation->today < StartWay::Waiting->soonest() - self::APART ? 7 : self::APART);
    }

    public function readyBy(TankToday $situation, int $quietFrom): int
    {
        return max(StartWay::Waiting->soonest(), $quietFrom + self::APART);
    }
}
