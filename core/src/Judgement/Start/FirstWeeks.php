<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\StartWay;

/** The first weeks of a tank as its way of starting has them: gates in their order, the next test, and what readings mean. */
final readonly class FirstWeeks
{
    /** Days of quiet tests after the last group, by which the start is over. C. */
    private const SETTLED = 7;
    /** Days after a group came in which the water is tested every day. C. */
    private const NEWCOMERS = 3;
    /** Days between tests once all is settled. C. */
    private const LATER_TESTS = 30;
    /** Days after filling from which a tank is grown in, and for which animals have been in by then. C: eight weeks, four of them. */
    private const GROWN_IN = 56;
    private const LIVED_IN = 28;
    /** Days between tests of nitrate. C. */
    private const NITRATE_EVERY = 7;

    /**
     * @param list<Gate>    $gates
     * @param int           $nextTest day on which the next test is due
     * @param list<Measure> $measures that it should take in
     * @param list<Advice>  $advice
     */
    private function __construct(
        public TankToday $situation,
        public array $gates,
        public int $nextTest,
        public array $measures,
        public array $advice,
        public bool $over,
    ) {
    }

    /** Whether the tank is still in its start, or has hardly left it. */
    public function isStart(): bool
    {
        return !$this->over || $this->situation->today < self::GROWN_IN;
    }

    public static function of(TankToday $situation): self
    {
        $protocol = self::protocol($situation->plan->preparation->way);
        if (self::isGrownIn($situation)) {
            $next = self::nextTest($situation, $protocol, true);

            return new self($situation, [], $next, self::measures($situation), Adviser::on($situation), true);
        }
        $course = new GateSequence($situation);
        $stocking = new Stocking($situation);
        $protocol->lay($course, $situation, $stocking);
        $stocking->rest($course);
        self::settle($course, $situation);
        $gates = [...$course->gates(), ...self::feeding($situation)];

        return new self(
            $situation,
            $gates,
            self::nextTest($situation, $protocol, $course->isThrough()),
            self::measures($situation),
            Adviser::on($situation),
            $course->isThrough(),
        );
    }

    public static function protocol(StartWay $way): Protocol
    {
        return match ($way) {
            StartWay::Plants => new PlantLedCycle(),
            StartWay::Bottled => new BottledBacteria(),
            StartWay::Dosing => new FishlessCycle(),
            StartWay::Borrowed => new SeededStart(),
            StartWay::Quarantine => new Quarantine(),
            // Whoever has not decided waits: that is the careful way.
            StartWay::Waiting, StartWay::Undecided => new PlantsAndWait(),
        };
    }

    /** Whether its start lies behind it: nobody asks a tank of months, with animals in for weeks, to wait for anything. */
    private static function isGrownIn(TankToday $situation): bool
    {
        $stocked = $situation->stockedOn();

        return $situation->today >= self::GROWN_IN && null !== $stocked && $situation->today - $stocked >= self::LIVED_IN;
    }

    /** The gate whose turn it is; null when all are passed. */
    public function current(): ?Gate
    {
        foreach ($this->gates as $gate) {
            if (GateState::Ready === $gate->state || GateState::Waits === $gate->state) {
                return $gate;
            }
        }

        return null;
    }

    public function isTestDue(): bool
    {
        return $this->situation->today >= $this->nextTest;
    }

    /** True where the day of the next test has gone by. */
    public function isTestLate(): bool
    {
        return $this->situation->today > max(1, $this->nextTest);
    }

    private static function settle(GateSequence $course, TankToday $situation): void
    {
        if ([] === $situation->plan->groups) {
            return;
        }
        $last = $situation->lastEvent(EventKind::Stock)->day ?? 0;
        $course->gate(
            'settled',
            new Message('gate.settled.name'),
            new Message('gate.settled.needs', ['days' => self::SETTLED]),
            $last + 1,
            static fn (int $from): ?int => $situation->quietBy($from, 2, self::SETTLED - 1),
            static fn (int $from): array => [false, [$situation->standing()], null],
        );
    }

    /** @return list<Gate> */
    private static function feeding(TankToday $situation): array
    {
        $plan = $situation->plan;
        if ($plan->feed->grams <= 0 || [] === $plan->groups) {
            return [];
        }
        $came = $situation->stockedOn();
        $notBefore = max(
            $plan->feedFrom,
            StartWay::Plants === $plan->preparation->way ? ($came ?? $situation->today) + Stocking::APART : 0,
        );
        $course = new GateSequence($situation);
        $course->gate(
            'feed',
            new Message('gate.feed.name'),
            new Message('gate.feed.needs'),
            $notBefore,
            static function (int $from) use ($situation): ?int {
                foreach ($situation->log->of(EventKind::Feed) as $event) {
                    if ($event->amount > 0) {
                        return $event->day;
                    }
                }

                return null;
            },
            static fn (int $from): array => null === $came
                ? [false, [new Message('gate.no-animals')], null]
                : ($situation->isFitNow()
                    ? [
                        true,
                        [new Message('gate.feed.do', ['grams' => $plan->feed->grams])],
                        new QuickEntry(EventKind::Feed, $plan->feed->grams, new Message('button.feeding-begun')),
                    ]
                    : [false, [$situation->standing()], null]),
            true,
        );

        return $course->gates();
    }

    private static function nextTest(TankToday $situation, Protocol $protocol, bool $over): int
    {
        $last = $situation->lastTest();
        if (null === $last) {
            return 1;
        }
        $newest = $situation->lastEvent(EventKind::Stock)?->day;
        $daily = null !== $newest && (false === $situation->quiet($last) || $situation->today - $newest <= self::NEWCOMERS);

        return $daily ? $last + 1 : ($over ? $last + self::LATER_TESTS : $protocol->nextTest($situation, $last));
    }

    /** @return list<Measure> */
    private static function measures(TankToday $situation): array
    {
        $nitrate = $situation->latest(Measure::Nitrate);
        $measures = [Measure::Ammonia, Measure::Nitrite];
        if (null === $nitrate || $situation->today - $nitrate->day >= self::NITRATE_EVERY) {
            $measures[] = Measure::Nitrate;
        }
        if (null === $situation->latest(Measure::Acidity)) {
            $measures[] = Measure::Acidity;
        }

        return $measures;
    }
}
