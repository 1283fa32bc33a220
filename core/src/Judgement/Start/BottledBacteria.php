<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\StartWay;

/** Bacteria from a bottle, the first animals with them, and a test every day until a week of tests has shown nothing. */
final readonly class BottledBacteria implements Protocol
{
    /** Tests in a row that must read nothing. C: "a week or so". */
    private const WEEK = 7;

    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void
    {
        $course->gate(
            'bacteria',
            new Message('gate.bacteria.name'),
            new Message('gate.bacteria.needs'),
            0,
            static fn (int $from): ?int => $situation->firstEvent(EventKind::Bacteria),
            static fn (int $from): array => [
                true,
                [new Message('gate.bacteria.do')],
                new QuickEntry(EventKind::Bacteria, 1.0, new Message('button.poured-in'), new Message('gate.bacteria.how')),
            ],
            true,
        );
        $stocking->first($course);
        $first = $situation->stockedOn();
        $course->gate(
            'week',
            new Message('gate.week.name'),
            new Message('gate.week.needs', ['tests' => self::WEEK]),
            $first ?? 1,
            static fn (int $from): ?int => null === $first ? null : $situation->quietBy($from, self::WEEK, self::WEEK - 1),
            static function (int $from) use ($situation, $first): array {
                if (null === $first) {
                    return [
                        false,
                        [new Message('gate.week.first'), $situation->standing()],
                        null,
                    ];
                }
                $run = $situation->quietRun($from);
                $missed = self::missed($situation, $from);

                return [
                    false,
                    [
                        new Message('gate.week.run', ['done' => min($run, self::WEEK), 'tests' => self::WEEK]),
                        $situation->standing(),
                        ...[] === $missed ? [] : [new Message('gate.week.missed', ['days' => array_map(strval(...), $missed)])],
                    ],
                    null,
                ];
            },
        );
    }

    public function nextTest(TankToday $situation, int $last): int
    {
        $first = $situation->stockedOn();

        return $last + (null === $first || $situation->quietRun($first) < self::WEEK ? 1 : 3);
    }

    public function readyBy(TankToday $situation, int $quietFrom): int
    {
        // Animals come first here; what waits for the water is the rest of them.
        return null === $situation->stockedOn() ? max(StartWay::Bottled->soonest(), $quietFrom) : $quietFrom + self::WEEK - 1;
    }

    /** @return list<int> days of the last week without a test */
    private static function missed(TankToday $situation, int $from): array
    {
        $missed = [];
        for ($day = max($from, $situation->today - self::WEEK); $day < $situation->today; ++$day) {
            if (null === $situation->quiet($day)) {
                $missed[] = $day;
            }
        }

        return $missed;
    }
}
