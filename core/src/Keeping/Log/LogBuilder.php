<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;

/** Makes a log of lines as they are kept and written to files: a kind of line, what it is of, an amount, whom it concerns. */
final class LogBuilder
{
    /** Kinds of lines, as they are stored. */
    public const READING = 'reading';
    public const DONE = 'deed';
    public const SIGHTING = 'sighting';
    public const NOTE = 'note';
    /** Something that is tried against a sign's likely cause; its amount is the days until one looks again. */
    public const TRIED = 'tried';
    /** What came of it (Improved). */
    public const CAME = 'came';
    /** What somebody looked for; its amount is 1 where they showed. */
    public const ALGAE = 'algae';

    /**
     * Readings of one thing in a day that a hand may have made. J: a test done thrice is still a test. More are a probe's, and of those the
     * day's median stands for all: they are off by the same, so that each of them tells no more.
     */
    public const BY_HAND = 4;

    /** @var array<string, list<Reading>> by day, measure and whom it is of */
    private array $readings = [];
    /** @var list<LoggedEvent> */
    private array $events = [];
    /** @var array<int, bool> */
    private array $algae = [];
    /** @var list<Sighting> */
    private array $sightings = [];
    /** @var array<int, Attempt> */
    private array $attempts = [];

    /**
     * @param int         $day  after filling
     * @param string      $what measure, kind of event, sign or cause, by its id
     * @param float|null  $amount on its base scale
     * @param string|null $of   clump, group or task; of what is tried, the sign (Attempt::seen)
     *
     * @return bool whether the computation makes anything of it; notes are for people
     */
    public function add(int $day, string $kind, string $what, ?float $amount, ?string $of): bool
    {
        $measure = self::READING === $kind ? Measure::tryFrom($what) : null;
        $event = self::DONE === $kind ? EventKind::named($what) : null;
        try {
            if (null !== $measure && null !== $amount) {
                $this->readings["$day $measure->value $of"][] = new Reading($day, $measure, $amount, $of);

                return true;
            }
            if (null !== $event) {
                $logged = new LoggedEvent($day, $event, $amount ?? 0.0, $of);
                // Made once, so that one that cannot be is left out here, and nowhere met later.
                $logged->event();
                $this->events[] = $logged;

                return true;
            }
        } catch (InvalidValue) {
            return false;
        }
        if (self::SIGHTING === $kind && self::ALGAE === $what) {
            $this->algae[$day] = $amount > 0;
        } elseif (self::SIGHTING === $kind && null !== Sign::tryFrom($what)) {
            $this->seen($day, Sign::from($what), $of);
        } elseif (\in_array($kind, [self::TRIED, self::CAME], true)) {
            return $this->attempt($day, $kind, $what, $amount ?? 0.0, $of ?? '');
        } else {
            return false;
        }

        return true;
    }

    private function seen(int $day, Sign $sign, ?string $of): void
    {
        $this->sightings[] = new Sighting($day, $sign, $of);
        if ($sign->isAlga()) {
            $this->algae[$day] = true;
        }
    }

    private function attempt(int $day, string $kind, string $cause, float $amount, string $seen): bool
    {
        $read = Attempt::read($seen);
        if (null === $read) {
            return false;
        }
        if (self::TRIED === $kind) {
            $this->attempts[] = new Attempt($day, $cause, $read[0], $read[1], $day + (int) $amount);

            return true;
        }
        // An answer is to the newest that waits for one.
        foreach (array_reverse($this->attempts, true) as $n => $attempt) {
            if (null === $attempt->came && $attempt->isOf($cause, $seen)) {
                $this->attempts[$n] = $attempt->with(Improved::ofAmount($amount));

                return true;
            }
        }

        return false;
    }

    public function log(): Log
    {
        return new Log(
            array_merge(...array_values(array_map(self::ofDay(...), $this->readings))),
            $this->events,
            $this->algae,
            $this->sightings,
            array_values($this->attempts),
        );
    }

    /**
     * @param list<Reading> $readings of one thing on one day
     *
     * @return list<Reading>
     */
    private static function ofDay(array $readings): array
    {
        if (\count($readings) <= self::BY_HAND) {
            return $readings;
        }
        $values = array_column($readings, 'value');
        sort($values);
        [$below, $above] = [$values[intdiv(\count($values) - 1, 2)], $values[intdiv(\count($values), 2)]];

        return [new Reading($readings[0]->day, $readings[0]->measure, ($below + $above) / 2, $readings[0]->of)];
    }
}
