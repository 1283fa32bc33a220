<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Light;

use Olvek\Core\Nature\Light\Lamp;
use Olvek\Core\Nature\Light\Programme;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Alga;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** The lamp's day and weeks. */
final class ProgrammeTest extends TestCase
{
    /** @param array<string, string> $edits */
    private static function lived(array $edits, int $days = 60): Trace
    {
        return (new Runner(Sample::edit(Sample::planted(), $edits)))->run($days);
    }

    public function testAPauseSplitsTheDayInItsMiddle(): void
    {
        self::assertSame([[9.0, 17.0]], (new Programme(9.0))->stretches(8.0));
        self::assertSame([[9.0, 13.0], [16.0, 20.0]], (new Programme(9.0, 3.0))->stretches(8.0));
        self::assertSame([], (new Programme(9.0, 3.0))->stretches(0.0));
        self::assertSame([[9.0, 33.0]], (new Programme(9.0, 3.0))->stretches(24.0), 'light day and night has no pause');
    }

    public function testStrengthGoesUpByStepsAndBackWhileAlgaeShow(): void
    {
        $programme = new Programme(startShare: 0.6, stepShare: 0.15);
        self::assertEqualsWithDelta(0.75, $programme->next(0.6, false), 1e-12);
        self::assertSame(1.0, $programme->next(0.95, false));
        self::assertEqualsWithDelta(0.75, $programme->next(0.9, true), 1e-12);
        self::assertSame(0.6, $programme->next(0.65, true), 'never below where it began');
        self::assertSame(1.0, (new Programme(startShare: 0.6, stepShare: 0.15, held: false))->next(0.9, true));
    }

    /** C: new tanks start at 60 % and go up by 5–10 points a week. */
    public function testTheRunFollowsTheWeeks(): void
    {
        $shares = self::lived(['light.startShare' => '60', 'light.stepShare' => '10', 'light.held' => 'no'])->columns['lampShare'];
        foreach ([0 => 0.6, 6 => 0.6, 7 => 0.7, 20 => 0.8, 28 => 1.0, 59 => 1.0] as $day => $share) {
            self::assertEqualsWithDelta($share, $shares[$day], 1e-9, "day $day");
        }
    }

    public function testTheRunHoldsTheLampBackWhileAlgaeShow(): void
    {
        $bright = [
            'light.lumens' => '9000',
            'light.hours' => '14',
            'water.nitrate' => '40',
            'plants.c1.pieces' => '3',
            'plants.c2.pieces' => '1',
            'light.startShare' => '60',
            'light.stepShare' => '10',
        ];
        $trace = self::lived($bright, 180);
        self::assertGreaterThan(Alga::SHOWS, $trace->highest('algae')[0], 'algae do show in this tank');
        $held = array_filter(
            range(7, 179, 7),
            static fn (int $day): bool => $trace->columns['lampShare'][$day] < $trace->columns['lampShare'][$day - 1] - 1e-9,
        );
        self::assertNotSame([], $held);
        foreach ($held as $day) {
            self::assertGreaterThan(Alga::SHOWS * 0.98, $trace->columns['algae'][$day - 1], "day $day");
        }
    }

    public function testLightDayAndNightAtFirst(): void
    {
        $hours = self::lived(['light.allDay' => '14'], 20)->columns['lampHours'];
        self::assertSame([24.0, 24.0, 8.0], [$hours[0], $hours[13], $hours[14]]);
    }

    /** A pause changes when light falls, not how much; carbon dioxide that is breathed meanwhile is there when it comes again. */
    public function testAPauseKeepsTheLightAndSparesCarbon(): void
    {
        $one = self::lived([]);
        $two = self::lived(['light.pause' => '4']);
        self::assertSame($one->columns['light'], $two->columns['light']);
        self::assertNotSame($one->columns['plants'][59], $two->columns['plants'][59]);
        self::assertGreaterThanOrEqual($one->columns['plants'][59] * 0.98, $two->columns['plants'][59]);
    }

    /**
     * Lambert (1760): of a small flat source straight above a disc of radius r, r²/(r²+h²) lands on it. 0.1727 m²: r² = 0.05497; (0.05497 +
     * 0.01)/(0.05497 + 0.16) = 0.3022 by hand.
     */
    public function testLightFallsOffWithTheLampsHeight(): void
    {
        $at = static fn (float $height): float => (new Lamp(2000, 8, 0.6, $height))->landed(0.1727);
        self::assertEqualsWithDelta(0.6, $at(Lamp::USUAL_HEIGHT), 1e-12);
        self::assertEqualsWithDelta(0.6 * 0.3022, $at(0.4), 1e-3);
        self::assertGreaterThan($at(0.1), $at(0.0));
        self::assertLessThanOrEqual(1.0, (new Lamp(2000, 8, 0.95, 0.0))->landed(0.02));
    }

    public function testAPauseLongerThanTheNightIsRefused(): void
    {
        $this->expectExceptionMessageMatches('/leaves 16.h for a break; this says 17.h/u');
        self::edit(Sample::planted(), '17');
    }

    private static function edit(Plan $plan, string $pause): Plan
    {
        return Sample::edit($plan, ['light.pause' => $pause]);
    }
}
