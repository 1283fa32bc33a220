<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;

/** What is written down of a tank since it was filled: readings, what was done, and on which days algae were looked for. */
final readonly class Log
{
    /** Days after which a test no longer tells how the water is. C. */
    public const FRESH = 3;

    /** @var list<Reading> by day */
    public array $readings;
    /** @var list<LoggedEvent> by day */
    public array $events;
    /** @var array<int, bool> whether algae showed, by day on which somebody looked */
    public array $algae;
    /** @var array<int, array<string, Reading>> readings of the whole tank by day and measure */
    public array $tests;

    /**
     * @param list<Reading>    $readings of one day, a later one of the same measure replaces the earlier
     * @param list<LoggedEvent>       $events
     * @param array<int, bool> $algae
     * @param list<Sighting> $sightings signs that somebody saw
     * @param list<Attempt>  $attempts  what was tried against them
     */
    public function __construct(
        array $readings = [],
        array $events = [],
        array $algae = [],
        public array $sightings = [],
        public array $attempts = [],
    ) {
        $last = [];
        foreach ($readings as $reading) {
            $last["$reading->day {$reading->measure->value} $reading->of"] = $reading;
        }
        $last = array_values($last);
        usort($last, static fn (Reading $a, Reading $b): int => $a->day <=> $b->day);
        usort($events, static fn (LoggedEvent $a, LoggedEvent $b): int => $a->day <=> $b->day);
        ksort($algae);
        $this->readings = $last;
        $this->events = $events;
        $this->algae = $algae;
        $tests = [];
        foreach ($this->readings as $reading) {
            if (null === $reading->of) {
                $tests[$reading->day][$reading->measure->value] = $reading;
            }
        }
        $this->tests = $tests;
    }

    /** What of it was there at the end of a day. */
    public function upTo(int $day): self
    {
        return new self(
            array_values(array_filter($this->readings, static fn (Reading $r): bool => $r->day <= $day)),
            array_values(array_filter($this->events, static fn (LoggedEvent $d): bool => $d->day <= $day)),
            array_filter($this->algae, static fn (int $seen): bool => $seen <= $day, \ARRAY_FILTER_USE_KEY),
            array_values(array_filter($this->sightings, static fn (Sighting $s): bool => $s->day <= $day)),
            array_values(array_filter($this->attempts, static fn (Attempt $a): bool => $a->day <= $day)),
        );
    }

    /** The newest reading of a measure, of a clump or group where one is named. */
    public function latest(Measure $measure, ?string $of = null): ?Reading
    {
        $latest = null;
        foreach ($this->readings as $reading) {
            $latest = $reading->measure === $measure && $reading->of === $of ? $reading : $latest;
        }

        return $latest;
    }

    /** @return list<LoggedEvent> of a kind, and of a group where one is named */
    public function of(EventKind $kind, ?string $group = null): array
    {
        return array_values(
            array_filter($this->events, static fn (LoggedEvent $d): bool => $d->kind === $kind && (null === $group || $d->of === $group)),
        );
    }

    /** The same with something more that was done. */
    public function with(LoggedEvent ...$events): self
    {
        return new self($this->readings, [...$this->events, ...array_values($events)], $this->algae, $this->sightings, $this->attempts);
    }

    /** The day within a stretch on which somebody last looked for algae, if they showed then; null where they did not, or nobody looked. */
    public function algaeOn(int $from, int $to): ?int
    {
        $last = null;
        foreach ($this->algae as $day => $shows) {
            if ($day >= $from && $day <= $to) {
                $last = $shows ? $day : null;
            }
        }

        return $last;
    }
}
