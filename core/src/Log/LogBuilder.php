<?php

declare(strict_types=1);

namespace Olvek\Core\Log;

use Olvek\Core\Event\EventKind;
use Olvek\Core\Water\Measure;

/** Makes a log of lines as they are kept and written to files: a kind of line, what it is of, an amount, whom it concerns. */
final class LogBuilder
{
    /** Kinds of lines, as they are stored. */
    public const READING = 'reading';
    public const DONE = 'deed';
    public const SIGHTING = 'sighting';
    public const NOTE = 'note';
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

    /**
     * @param int         $day  after filling
     * @param string      $what measure, kind of event or sign, by its id
     * @param float|null  $amount on its base scale
     * @param string|null $of   clump, group or task
     *
     * @return bool whether the computation makes anything of it; notes and most signs are for people
     */
    public function add(int $day, string $kind, string $what, ?float $amount, ?string $of): bool
    {
        $measure = self::READING === $kind ? Measure::tryFrom($what) : null;
        $event = self::DONE === $kind ? EventKind::named($what) : null;
        if (null !== $measure && null !== $amount) {
            $this->readings["$day $measure->value $of"][] = new Reading($day, $measure, $amount, $of);
        } elseif (null !== $event) {
            $this->events[] = new LoggedEvent($day, $event, $amount ?? 0.0, $of);
        } elseif (self::SIGHTING === $kind && self::ALGAE === $what) {
            $this->algae[$day] = $amount > 0;
        } elseif (self::SIGHTING === $kind && true === Sign::tryFrom($what)?->isAlga()) {
            $this->algae[$day] = true;
        } else {
            return false;
        }

        return true;
    }

    public function log(): Log
    {
        return new Log(array_merge(...array_values(array_map(self::ofDay(...), $this->readings))), $this->events, $this->algae);
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
