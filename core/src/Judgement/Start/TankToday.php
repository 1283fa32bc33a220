<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Keeping\Log\KitReading;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;

/** A tank on a day of its first weeks: what was planned, what is written down, and what follows from that alone. */
final readonly class TankToday
{
    /** What was written down up to today: of what comes after, nobody knows yet. */
    public Log $log;

    /** @param int $today days after filling */
    public function __construct(
        public Plan $plan,
        Log $log,
        public int $today,
        public TestKit $kit,
    ) {
        $this->log = $log->upTo($today);
    }

    /** Whether ammonia and nitrite both read nothing on a day; null where not both were tested. */
    public function quiet(int $day): ?bool
    {
        $test = $this->log->tests[$day] ?? [];
        $ammonia = $test[Measure::Ammonia->value] ?? null;
        $nitrite = $test[Measure::Nitrite->value] ?? null;
        if (false === $ammonia?->isNothing() || false === $nitrite?->isNothing()) {
            return false;
        }

        return null === $ammonia || null === $nitrite ? null : true;
    }

    /** @return array<int, bool> whether a test was quiet, by day, from a day on; days without a whole test are left out */
    public function tests(int $from = 0): array
    {
        $tests = [];
        foreach (array_keys($this->log->tests) as $day) {
            $quiet = $this->quiet($day);
            if (null !== $quiet && $day >= $from) {
                $tests[$day] = $quiet;
            }
        }

        return $tests;
    }

    /** Day of the newest test of ammonia and nitrite; null where there is none. */
    public function lastTest(): ?int
    {
        return array_key_last($this->tests());
    }

    /** Days on which both read nothing, one after another up to the newest test. */
    public function quietRun(int $from = 0): int
    {
        $run = 0;
        foreach ($this->tests($from) as $quiet) {
            $run = $quiet ? $run + 1 : 0;
        }

        return $run;
    }

    /**
     * The day by which so many tests in a row read nothing, at least so many days apart from first to last; null where there is none yet.
     */
    public function quietBy(int $from, int $tests, int $apart = 0): ?int
    {
        $run = [];
        foreach ($this->tests($from) as $day => $quiet) {
            $run = $quiet ? [...$run, $day] : [];
            if (\count($run) >= $tests && $day - $run[0] >= $apart) {
                return $day;
            }
        }

        return null;
    }

    /** Whether the newest test is young enough to go by, and read nothing. */
    public function isFitNow(): bool
    {
        $last = $this->lastTest();

        return null !== $last && $this->today - $last <= Log::FRESH && true === $this->quiet($last);
    }

    /** Day on which animals first came; null while there are none. */
    public function stockedOn(): ?int
    {
        return $this->firstEvent(EventKind::Stock);
    }

    /** The newest reading of a measure. */
    public function latest(Measure $measure): ?Reading
    {
        return $this->log->latest($measure);
    }

    /** Whether something was done from a day on. */
    public function didSince(EventKind $kind, int $from): bool
    {
        return [] !== array_filter($this->log->of($kind), static fn (LoggedEvent $d): bool => $d->day >= $from);
    }

    /** g a day that are fed by what was last written down of it; null where nothing was. */
    public function fed(): ?float
    {
        return $this->lastEvent(EventKind::Feed)?->amount;
    }

    public function firstEvent(EventKind $kind, ?string $of = null): ?int
    {
        return ($this->log->of($kind, $of)[0] ?? null)?->day;
    }

    public function lastEvent(EventKind $kind): ?LoggedEvent
    {
        $events = $this->log->of($kind);

        return $events[\count($events) - 1] ?? null;
    }

    /** What counts as 0 by the keeper's kit, in words. */
    public function nothing(): Message
    {
        return new Message(
            'standing.nothing',
            [
                'ammonia' => new KitReading($this->kit, Measure::Ammonia, Measure::Ammonia->nothingBelow()),
                'nitrite' => new KitReading($this->kit, Measure::Nitrite, Measure::Nitrite->nothingBelow()),
            ],
        );
    }

    /** How the newest test stands against "both nothing", in words. */
    public function standing(): Message
    {
        $last = $this->lastTest();
        if (null === $last) {
            return null === $this->latest(Measure::Ammonia) && null === $this->latest(Measure::Nitrite)
                ? new Message('standing.untested')
                : new Message('standing.one-of-two');
        }
        $shown = [];
        foreach ([Measure::Ammonia, Measure::Nitrite] as $measure) {
            $reading = $this->log->tests[$last][$measure->value] ?? null;
            if (null !== $reading && !$reading->isNothing()) {
                $shown[] = new Message(
                    'standing.reading',
                    ['measure' => $measure->label(), 'reading' => new KitReading($this->kit, $measure, $reading->value)],
                );
            }
        }
        if ([] !== $shown) {
            return new Message('standing.shows', ['day' => $last, 'readings' => $shown]);
        }

        return $this->today - $last > Log::FRESH
            ? new Message('standing.stale', ['day' => $last, 'days' => $this->today - $last])
            : new Message('standing.quiet', ['day' => $last]);
    }
}
