<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Estimation;

use Olvek\Core\Keeping\Estimation\Observation;
use Olvek\Core\Keeping\Estimation\Observations;
use Olvek\Core\Keeping\Estimation\Scale;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** What of a logbook is held against a run, and how firmly. */
final class ObservationsTest extends TestCase
{
    /**
     * @param list<Reading>     $readings
     * @param list<LoggedEvent> $events
     *
     * @return list<Observation>
     */
    private static function of(array $readings, array $events = [], int $today = 200): array
    {
        return Observations::of(Sample::planted(), new Log($readings, $events), $today);
    }

    public function testAProbeIsBelievedNoMoreThanOneGoodReadingAWeek(): void
    {
        $probe = array_map(static fn (int $day): Reading => new Reading($day, Measure::Temperature, 23.0), range(140, 146));
        [$one, $other] = self::of($probe);
        self::assertSame([145, 146], [$one->day, $other->day]);
        self::assertEqualsWithDelta(Scale::of(Measure::Temperature)->noise * sqrt(2), $one->noise, 1e-12);
        // Long ago one a week is enough.
        self::assertCount(1, self::of($probe, today: 146 + 84));
        self::assertCount(2, self::of($probe, today: 140 + 84));
        // Another measure is another thing.
        self::assertCount(3, self::of([...$probe, new Reading(141, Measure::Acidity, 7.0)]));
    }

    public function testWhatIsReadOnADayOfAChangeWasReadBefore(): void
    {
        self::assertSame(50, self::of([new Reading(50, Measure::Nitrate, 2.0)])[0]->day);
        self::assertSame(49, self::of([new Reading(50, Measure::Nitrate, 2.0)], [new LoggedEvent(50, EventKind::Change, 0.3)])[0]->day);
    }

    public function testNothingIsNothingUpToWhatATestShows(): void
    {
        $least = Measure::Nitrate->nothingBelow();
        self::assertTrue(self::of([new Reading(50, Measure::Nitrate, $least - 0.01)])[0]->nothing);
        self::assertFalse(self::of([new Reading(50, Measure::Nitrate, $least)])[0]->nothing);
        // A temperature of nothing is a temperature.
        self::assertFalse(self::of([new Reading(50, Measure::Temperature, 0.0)])[0]->nothing);
    }

    public function testWhatIsToppedUpIsWhatDriedUpSince(): void
    {
        $top = static fn (int $day, float $litres): LoggedEvent => new LoggedEvent($day, EventKind::Task, $litres, LogAction::TOPPED);
        // The first says nothing: nobody knows since when.
        self::assertSame([], self::of([], [$top(10, 1.0)]));
        [$one] = self::of([], [$top(10, 1.0), $top(50, 2.0)]);
        self::assertSame([Measure::Level, 10, 50], [$one->measure, $one->since, $one->day]);
        self::assertEqualsWithDelta(2.0, Scale::of(Measure::Level)->base($one->value), 1e-9);
        self::assertSame([], self::of([], [$top(10, 1.0), $top(51, 2.0)]));
        $plan = Sample::planted();
        $trace = (new Runner($plan))->run(60);
        $dried = array_sum(\array_slice($trace->columns['evaporated'], 10, 40));
        self::assertEqualsWithDelta($dried, Scale::of(Measure::Level)->base($one->predicted($trace, $plan)), 1e-9);
        // A level below the line is read the same way, since the last topping up.
        [$level] = self::of([new Reading(20, Measure::Level, 0.01)], [$top(10, 1.0)]);
        self::assertEqualsWithDelta(10 * $plan->surface(), Scale::of(Measure::Level)->base($level->value), 1e-9);
        self::assertSame([], self::of([new Reading(20, Measure::Level, 0.01)]));
    }

    public function testPlantsAreReadByTheirClump(): void
    {
        $plan = Sample::planted();
        $trace = (new Runner($plan))->run(60);
        [$height, $pieces] = self::of([new Reading(40, Measure::Height, 0.2, 'c1'), new Reading(41, Measure::Pieces, 50.0, 'c1')]);
        self::assertSame([0, 0], [$height->clump, $pieces->clump]);
        self::assertEqualsWithDelta(
            $trace->clumps[41][0] / $plan->clumps[0]->kind->dryPerPiece->value,
            Scale::of(Measure::Pieces)->base($pieces->predicted($trace, $plan)),
            1e-9,
        );
        self::assertGreaterThan(0.01, Scale::of(Measure::Height)->base($height->predicted($trace, $plan)));
        // What is no longer in the plan, what lies ahead and animals, which are counted into the run, are none.
        self::assertSame([], self::of([
            new Reading(40, Measure::Height, 0.2, 'c9'),
            new Reading(201, Measure::Nitrate, 2.0),
            new Reading(40, Measure::Heads, 9.0, 'a1'),
        ]));
    }

    public function testHardnessBeyondWhatAnySuchTankShowsIsNotBelievedToTellOfItsWays(): void
    {
        $noise = Scale::of(Measure::CarbonateHardness)->noise;
        $observation = static fn (float $value, Measure $of): Observation => new Observation(5, $of, $value, $noise);
        $tanks = [[6.0], [6.0], [6.0]];
        $believed = static fn (float $value, Measure $of = Measure::CarbonateHardness): float => Observations::believed(
            [$observation($value, $of)],
            $tanks,
        )[0]->noise;
        // Four times in squares is twice the noise.
        self::assertSame($noise, $believed(6.0 + 1.99 * $noise));
        self::assertEqualsWithDelta(2.01 * $noise, $believed(6.0 + 2.01 * $noise), 1e-9);
        // What plants and animals make may well be as far off.
        self::assertSame($noise, $believed(6.0 + 9 * $noise, Measure::Nitrate));
    }
}
