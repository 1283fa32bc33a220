<?php

declare(strict_types=1);

namespace Olvek\Core\Estimation;

use Olvek\Core\Plan\PlannedEvent;

/** What is known of a tank, from its first day to some weeks ahead: what was to be expected, and what the readings have made of it. */
final readonly class Estimate
{
    /** Shares of tanks below the low end, the middle and the high end of a band. */
    private const SHARES = [0.1, 0.5, 0.9];
    /** Share of what was unknown that is unknown still, above which the readings have told next to nothing. J. */
    private const UNTOLD = 0.8;

    /**
     * @param int                                             $today
     * @param list<array<string, float>>                      $scores   of the tanks, after the readings
     * @param array<string, list<array{float, float, float}>> $expected low, middle, high by quantity and day, before the readings
     * @param array<string, list<array{float, float, float}>> $bands    after them
     * @param list<Habit>                                   $traits   what the readings say of this tank's ways
     * @param array<string, float>                            $happened share of tanks in which what was planned, and not logged, happened
     * @param list<NextTest>                                  $tests    what would tell most, the best first
     * @param int                                             $readings that were used
     */
    private function __construct(
        public int $today,
        public array $scores,
        public array $expected,
        public array $bands,
        public array $traits,
        public array $happened,
        public array $tests,
        public int $readings,
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

        return new self(
            $estimator->today,
            $after,
            self::banded($prior),
            self::banded($members),
            Habit::among($estimator, $before, $after),
            $happened,
            NextTest::among($members, $estimator->today),
            \count($estimator->observations),
        );
    }

    /** @return array{float, float, float} low, middle, high of a quantity on a day */
    public function on(Quantity $quantity, int $day): array
    {
        $of = $this->bands[$quantity->value];

        return $of[max(0, min(\count($of) - 1, $day))];
    }

    /** @return array{float, float, float} the same before anything was read */
    public function wasExpected(Quantity $quantity, int $day): array
    {
        $of = $this->expected[$quantity->value];

        return $of[max(0, min(\count($of) - 1, $day))];
    }

    public function days(): int
    {
        return \count($this->bands[Quantity::Nitrate->value]);
    }

    /** Share (0–1, or more) of what was unknown of a quantity today that is unknown still. */
    public function unknown(Quantity $quantity): float
    {
        [$low, , $high] = $this->on($quantity, $this->today);
        [$least, , $most] = $this->wasExpected($quantity, $this->today);

        return $most > $least ? ($high - $low) / ($most - $least) : 1.0;
    }

    /** @return list<Quantity> of which the readings have told next to nothing */
    public function untold(): array
    {
        return array_values(array_filter(Quantity::cases(), fn (Quantity $q): bool => $this->unknown($q) > self::UNTOLD));
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
     * @param list<Member> $members
     *
     * @return array<string, list<array{float, float, float}>>
     */
    public static function banded(array $members): array
    {
        $bands = [];
        foreach (Quantity::cases() as $quantity) {
            $columns = array_map(static fn (Member $m): array => $m->column($quantity), $members);
            foreach (array_keys($columns[0]) as $day) {
                $bands[$quantity->value][] = self::among(array_column($columns, $day));
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
