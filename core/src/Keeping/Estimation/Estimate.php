<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Planning\Plan\PlannedEvent;

/** What is known of a tank, from its first day to some weeks ahead: what was to be expected, and what the readings have made of it. */
final readonly class Estimate
{
    /** Shares of tanks below the low end, the middle and the high end of a band. */
    private const SHARES = [0.1, 0.5, 0.9];
    /** Share of what was unknown that is unknown still, above which the readings have told next to nothing. J. */
    private const UNTOLD = 0.8;
    /** Of three packed numbers. */
    private const BYTES = 24;

    /**
     * @param list<array<string, float>>                      $scores   of the tanks, after the readings
     * @param array<string, string>                           $expected low, middle, high of each day, by quantity, before the readings;
     *                                                                   packed, as numbers they take ten times as long to be read again
     * @param array<string, string>                           $bands    after them
     * @param list<Habit>                                     $habits   what the readings say of this tank's ways
     * @param array<string, float>                            $happened share of tanks in which what was planned, and not logged, happened
     * @param list<NextTest>                                  $tests    what would tell most, the best first
     * @param int                                             $readings that were used
     * @param list<Member>                                    $asNow    the tanks from today on, as they go on
     * @param array<string, Departure>                        $departures what stands off the best that plan and run explain, by quantity
     */
    private function __construct(
        public int $today,
        public array $scores,
        public array $expected,
        public array $bands,
        public array $habits,
        public array $happened,
        public array $tests,
        public int $readings,
        public array $asNow,
        public array $departures,
    ) {
    }

    /**
     * @param list<array<string, float>> $before  scores before the readings
     * @param list<Member>               $prior   run with them
     * @param list<array<string, float>> $after   scores after the readings
     * @param list<Member>               $members run with them
     */
    public static function of(Estimator $estimator, array $before, array $prior, array $after, array $members): self
    {
        $happened = [];
        foreach ($estimator->unlogged as $event) {
            $yes = array_filter($after, static fn (array $z): bool => ($z["event $event->id"] ?? 0.0) > 0);
            $happened[$event->id] = \count($yes) / \count($after);
        }

        $departures = Departure::among($estimator->believed($prior), $members);
        $members = self::moved($members, $departures);

        return new self(
            $estimator->today,
            $after,
            self::banded($prior),
            self::banded($members),
            Habit::among($estimator, $before, $after),
            $happened,
            NextTest::among($members, $estimator->today),
            \count($estimator->observations),
            array_map(static fn (Member $m): Member => $m->from($estimator->today), $members),
            $departures,
        );
    }

    /**
     * The same tanks, run with something done in days to come, from today on.
     *
     * @param list<Member> $members in the order of the scores
     *
     * @return list<Member>
     */
    public function ahead(array $members): array
    {
        return array_map(fn (Member $m): Member => $m->from($this->today), self::moved($members, $this->departures));
    }

    /**
     * @param list<Member>             $members
     * @param array<string, Departure> $departures
     *
     * @return list<Member>
     */
    private static function moved(array $members, array $departures): array
    {
        return array_map(static fn (Member $m, int $n): Member => $m->moved($departures, $n), $members, array_keys($members));
    }

    /** @return array{float, float, float} low, middle, high of a quantity on a day */
    public function on(Quantity $quantity, int $day): array
    {
        return self::unpacked($this->bands[$quantity->value], $day);
    }

    /** @return array{float, float, float} the same before anything was read */
    public function wasExpected(Quantity $quantity, int $day): array
    {
        return self::unpacked($this->expected[$quantity->value], $day);
    }

    /** L that dry up in a week, from now on. */
    public function litresPerWeek(): float
    {
        return 7 * $this->on(Quantity::Evaporation, $this->today)[1];
    }

    public function days(): int
    {
        return intdiv(\strlen($this->bands[Quantity::Nitrate->value]), self::BYTES);
    }

    /** Share (0–1, or more) of what was unknown of a quantity today that is unknown still. */
    public function unknown(Quantity $quantity): float
    {
        [$low, , $high] = $this->on($quantity, $this->today);
        [$least, , $most] = $this->wasExpected($quantity, $this->today);

        return $most > $least ? ($high - $low) / ($most - $least) : 1.0;
    }

    /** By how much of its band the middle of a quantity has moved. */
    private function shift(Quantity $quantity): float
    {
        [$least, $likely, $most] = $this->wasExpected($quantity, $this->today);

        return abs($this->on($quantity, $this->today)[1] - $likely) / max(1e-9, $most - $least);
    }

    /** @return list<Quantity> of which the readings have told next to nothing */
    public function untold(): array
    {
        return array_values(array_filter(
            Quantity::cases(),
            fn (Quantity $q): bool => $this->unknown($q) > self::UNTOLD && $this->shift($q) < 1 - self::UNTOLD,
        ));
    }

    /**
     * @param list<PlannedEvent> $events
     *
     * @return list<array{PlannedEvent, float}> what only the keeper knows, with how many tanks (0–1) speak for it
     */
    public function asked(array $events): array
    {
        return array_map(fn (PlannedEvent $e): array => [$e, $this->happened[$e->id] ?? 0.5], $events);
    }

    /**
     * A band over a stretch of days.
     *
     * @param bool $expected before the readings, in place of after them
     *
     * @return list<array{float, float, float}> low, middle, high by day
     */
    public function band(Quantity $quantity, int $from, int $to, bool $expected = false): array
    {
        $packed = ($expected ? $this->expected : $this->bands)[$quantity->value];
        $days = [];
        for ($day = $from; $day <= min($to, $this->days() - 1); ++$day) {
            $days[] = self::unpacked($packed, $day);
        }

        return $days;
    }

    /** @return array{float, float, float} of a day, or of the nearest that there is */
    private static function unpacked(string $packed, int $day): array
    {
        $last = intdiv(\strlen($packed), self::BYTES) - 1;
        /** @var array{1: float, 2: float, 3: float} $of */
        $of = unpack('e3', $packed, self::BYTES * max(0, min($last, $day)));

        return [$of[1], $of[2], $of[3]];
    }

    /**
     * @param list<Member> $members
     *
     * @return array<string, string>
     */
    private static function banded(array $members): array
    {
        $bands = [];
        foreach (Quantity::cases() as $quantity) {
            $columns = array_map(static fn (Member $m): array => $m->column($quantity), $members);
            $bands[$quantity->value] = '';
            foreach (array_keys($columns[0]) as $day) {
                $bands[$quantity->value] .= pack('e3', ...self::among(array_column($columns, $day)));
            }
        }

        return $bands;
    }

    /**
     * Between those of an ensemble, as the 1st, 5th and 9th of ten lie.
     *
     * @param list<float> $values
     *
     * @return array{float, float, float}
     */
    public static function among(array $values): array
    {
        sort($values);
        $last = \count($values) - 1;
        $at = static function (float $share) use ($values, $last): float {
            // P: Hyndman & Fan (1996), Sample quantiles in statistical packages, Am. Stat. 50, type 8: right for few.
            $place = max(0.0, min((float) $last, $share * ($last + 1 + 1 / 3) + 1 / 3 - 1));
            $below = (int) $place;

            return round($values[$below] + ($place - $below) * ($values[min($last, $below + 1)] - $values[$below]), 5);
        };

        return [$at(self::SHARES[0]), $at(self::SHARES[1]), $at(self::SHARES[2])];
    }
}
