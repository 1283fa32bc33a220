<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Nature\Light\Daylight;
use PHPUnit\Framework\TestCase;

/** The sun against an astronomical library, and against worked examples of the paper whose equations are used. */
final class DaylightTest extends TestCase
{
    /** PyEphem through a year at six latitudes (days.csv, make-days.py): within six minutes. */
    public function testDayLengthFollowsTheAstronomicalLibrary(): void
    {
        $lines = file(__DIR__.'/days.csv', \FILE_IGNORE_NEW_LINES);
        self::assertIsArray($lines);
        self::assertGreaterThan(70, \count($lines));
        foreach (\array_slice($lines, 1) as $line) {
            [$latitude, $day, $hours] = array_map(floatval(...), explode(',', $line));
            self::assertEqualsWithDelta(
                $hours,
                (new Daylight($latitude, Aspect::Open, 1.0))->dayLength($day),
                0.1,
                "latitude $latitude, day $day",
            );
        }
    }

    /**
     * P: Allen and others (1998), FAO Irrigation and Drainage Paper 56, examples 8 and 9: 3 September at 20° south, 32.2 MJ/m²/d and 11.7
     * h. M: the numbers, not the page.
     */
    public function testTheWorkedExample(): void
    {
        $daylight = new Daylight(-20.0, Aspect::Open, 1.0);
        // The paper's own sine puts the sun 0.6° too low that day; ours is Spencer's.
        self::assertEqualsWithDelta(32.2, $daylight->extraterrestrial(246), 0.5);
        self::assertEqualsWithDelta(11.7, $daylight->dayLength(246), 0.1);
    }

    /**
     * Laws of windows: the south sees most over a year, the north least, east and west alike; half the sky half the light; none without a
     * window.
     */
    public function testWindowsByAspect(): void
    {
        $year = static fn (Aspect $aspect): float => array_sum(
            array_map(static fn (int $day): float => (new Daylight(52.0, $aspect, 0.5))->dailyIntegral($day), range(5, 365, 10)),
        );
        self::assertGreaterThan($year(Aspect::East), $year(Aspect::South));
        self::assertEqualsWithDelta($year(Aspect::East), $year(Aspect::West), 1e-6 * $year(Aspect::East));
        self::assertGreaterThan($year(Aspect::North), $year(Aspect::East));
        self::assertGreaterThan($year(Aspect::South), $year(Aspect::Open));
        self::assertSame(0.0, $year(Aspect::None));
        self::assertEqualsWithDelta(
            2 * (new Daylight(52.0, Aspect::South, 0.25))->dailyIntegral(100),
            (new Daylight(52.0, Aspect::South, 0.5))->dailyIntegral(100),
            1e-9,
        );
    }

    /** A south window has a winter: M: 5–7 mol/m² of a December day behind two panes at 50°, 12–16 in June. */
    public function testAWindowHasAWinter(): void
    {
        $south = new Daylight(50.0, Aspect::South, 1.0);
        self::assertGreaterThan(4.5, $south->dailyIntegral(355));
        self::assertLessThan(7.0, $south->dailyIntegral(355));
        self::assertGreaterThan(12.0, $south->dailyIntegral(172));
        self::assertLessThan(16.0, $south->dailyIntegral(172));
        // M: monthly means of temperate stations.
        foreach ([[355, 0.30], [80, 0.41], [172, 0.47]] as [$day, $clear]) {
            self::assertEqualsWithDelta($clear, $south->clearness($day), 0.03);
        }
    }

    /** M: a clear-to-cloudy midsummer day outdoors in the middle latitudes brings 35–50 mol/m², midwinter 3–10. */
    public function testOutdoorsIsAsBrightAsMeasured(): void
    {
        $open = new Daylight(50.0, Aspect::Open, 1.0);
        self::assertGreaterThan(35.0, $open->dailyIntegral(172));
        self::assertLessThan(50.0, $open->dailyIntegral(172));
        self::assertGreaterThan(3.0, $open->dailyIntegral(355));
        self::assertLessThan(10.0, $open->dailyIntegral(355));
    }
}
