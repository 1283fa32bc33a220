<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What each further part of a plan does to the run: the direction that the trade expects (C), and nothing where it should do nothing. */
final class PlanPartsTest extends TestCase
{
    /** @param array<string, string> $edits */
    private static function lived(array $edits, int $days = 120): Trace
    {
        return (new Runner(Sample::edit(Sample::planted(), $edits)))->run($days);
    }

    /** @return iterable<string, array{array<string, string>}> */
    public static function decisions(): iterable
    {
        yield 'what is readied' => [
            [
                'preparation.rinsed' => 'yes',
                'preparation.sieved' => 'yes',
                'preparation.treatment' => 'dechlorinated',
                'preparation.filling' => 'hose',
            ],
        ];
        yield 'what the support bears' => [['site.bears' => '80 kg', 'site.above' => '30 cm']];
        yield 'soil in bags' => [['bed.bagged' => 'yes']];
        yield 'the hour of the lamp' => [['light.on' => '3']];
        yield 'a gate that has nothing to hold' => [['light.held' => 'no']];
    }

    /** @param array<string, string> $edits */
    #[DataProvider('decisions')]
    public function testWhatChangesNoNumberChangesNone(array $edits): void
    {
        self::assertSame(serialize(self::lived([], 40)->columns), serialize(self::lived($edits, 40)->columns));
    }

    /** Leaves rot: more carbon dioxide for plants, a browner water; and they hold the cap higher. */
    public function testLeavesBreatheAndStain(): void
    {
        $leaves = self::lived(['bed.leaves.material' => 'fallen-leaves']);
        $none = self::lived([]);
        self::assertGreaterThan($none->mean('carbonDioxide', 30, 120), $leaves->mean('carbonDioxide', 30, 120));
        self::assertGreaterThan($none->mean('tannin', 30, 120), $leaves->mean('tannin', 30, 120));
        self::assertLessThan($none->columns['volume'][0], $leaves->columns['volume'][0]);
    }

    /** Inert bags where soil was: less to leak, less to feed on. */
    public function testTheHillsCoreIsNoSoil(): void
    {
        $core = self::lived(['bed.core' => '2 L']);
        $none = self::lived([]);
        self::assertLessThan($none->columns['soilNitrogen'][0], $core->columns['soilNitrogen'][0]);
        self::assertLessThanOrEqual($none->highest('ammonia')[0], $core->highest('ammonia')[0]);
    }

    /** A carpet before the soil grows less than on it. */
    public function testACarpetWantsItsSoil(): void
    {
        $edits = ['plants.c1.remove' => '1', 'plants.c2.remove' => '1', 'plants.add.eleocharis-acicularis' => '30'];
        $grown = static fn (string $setback): float => self::lived([...$edits, 'bed.setback' => $setback])->clumps[119][0];
        self::assertLessThan($grown('0'), $grown('10 cm'));
    }

    public function testALampHungHigherLightsLess(): void
    {
        $light = static fn (string $height): float => self::lived(['light.height' => $height], 2)->columns['light'][0];
        self::assertGreaterThan($light('20 cm'), $light('5 cm'));
        self::assertGreaterThan($light('60 cm'), $light('20 cm'));
    }

    /** Day and night at first: plants ahead by the end of it (humus bed method, C). */
    public function testLightDayAndNightSpeedsTheStart(): void
    {
        self::assertGreaterThan(
            self::lived([], 21)->columns['plants'][20],
            self::lived(['light.allDay' => '21'], 21)->columns['plants'][20],
        );
    }

    /** A dim start grows fewer algae, and slower plants, in the first two months. */
    public function testADimStartHoldsAlgaeBack(): void
    {
        $bright = ['light.lumens' => '5000', 'water.nitrate' => '20'];
        $dim = self::lived([...$bright, 'light.startShare' => '40', 'light.stepShare' => '5'], 60);
        $full = self::lived($bright, 60);
        self::assertLessThan($full->highest('algae')[0], $dim->highest('algae')[0]);
        self::assertLessThan($full->columns['plants'][30], $dim->columns['plants'][30]);
    }

    /** The animals' day, the keeper's holiday and the weather act on their days and not before. */
    public function testEventsActFromTheirDayOn(): void
    {
        $plain = self::lived([]);
        $warm = self::lived(['events.add.spell' => '60']);
        self::assertSame(\array_slice($plain->columns['oxygen'], 0, 60), \array_slice($warm->columns['oxygen'], 0, 60));
        self::assertSame(4.0, round($warm->columns['temperature'][62] - $plain->columns['temperature'][62], 9));
        self::assertLessThan($plain->columns['oxygen'][62], $warm->columns['oxygen'][62]);
        self::assertSame($plain->columns['temperature'][66], $warm->columns['temperature'][66], 'five days and no more');
        $away = self::lived(['events.add.holiday' => '60']);
        self::assertSame([0.0, 0.0], [$away->columns['food'][60], $away->columns['food'][73]]);
        self::assertGreaterThan(0.0, $away->columns['food'][74]);
        $dark = self::lived(['events.add.lamp-off' => '60']);
        self::assertSame(
            [0.0, 0.0, 8.0],
            [$dark->columns['lampHours'][60], $dark->columns['lampHours'][62], $dark->columns['lampHours'][63]],
        );
    }

    /** A change of half takes half of what was in the water, bar what the tap brings. */
    public function testAPlannedChangeIsAChange(): void
    {
        $edits = [
            'water.nitrate' => '0',
            'feeding.grams' => '0.6',
            'animals.a1.day' => '0',
            'animals.a1.count' => '40',
            'plants.c1.pieces' => '5',
        ];
        $plan = Sample::edit(Sample::edit(Sample::planted(), [...$edits, 'events.add.change' => '80']), ['events.e1.share' => '50']);
        $with = (new Runner($plan))->run(81)->columns['nitrate'];
        $without = self::lived($edits, 81)->columns['nitrate'];
        self::assertGreaterThan(0.5, $without[79], 'there is something to take');
        self::assertEqualsWithDelta(0.5, $with[80] / $without[80], 0.12);
    }

    /** The light that is drawn for a day is the run's own: as planted on day 0, dimmer below as plants close over. */
    public function testTheLightShownIsTheRunsOwn(): void
    {
        $plan = Sample::edit(Sample::planted(), ['light.startShare' => '60', 'light.stepShare' => '10']);
        $trace = (new Runner($plan))->run(60);
        $seen = static fn (int $day): ClumpLight => ClumpLight::seen($plan, $trace->on($day));
        self::assertEqualsWithDelta(0.6 * $plan->lamp->atSurface($plan->surface()), $seen(0)->surface, 1e-9);
        self::assertEqualsWithDelta($plan->lamp->atSurface($plan->surface()), $seen(59)->surface, 1e-9);
        $sunny = Sample::edit(Sample::planted(), ['site.aspect' => 'south']);
        $sun = (new Runner($sunny))->run(10);
        self::assertEqualsWithDelta(
            $sun->columns['light'][9],
            ClumpLight::seen($sunny, $sun->on(9))->surface,
            1e-9,
            'under the sky, moles of the whole day',
        );
        self::assertLessThan(
            ClumpLight::seen($plan, Snapshot::planned($plan))->bare,
            ClumpLight::seen($plan, Snapshot::planned($plan))->bed,
        );
    }

    /** Every margin still has its say when all of it is in one plan. */
    public function testAllOfItAtOnceIsJudged(): void
    {
        $plan = Sample::edit(Sample::planted(), [
            'bed.leaves.material' => 'fallen-leaves',
            'bed.plate' => '1 cm',
            'bed.core' => '0.5 L',
            'bed.setback' => '2 cm',
            'bed.bagged' => 'yes',
            'light.pause' => '3',
            'light.allDay' => '7',
            'light.startShare' => '60',
            'light.stepShare' => '5',
            'plants.c2.day' => '10',
            'events.add.change' => '30',
            'events.add.holiday' => '200',
            'start.way' => 'dosing',
        ]);
        $judgement = Judge::judge($plan);
        self::assertCount(\count(MarginId::cases()), $judgement->margins);
        foreach ($judgement->margins as $margin) {
            self::assertTrue(is_finite($margin->measure), $margin->name);
        }
    }

    public function testWhatIsPlantedSoonCountsAsPlanted(): void
    {
        $share = static fn (string $day): float => Judge::judge(self::withDay($day), days: 30)->margin(MarginId::Planted)->measure;
        self::assertSame($share('0'), $share('14'));
        self::assertLessThan($share('0'), $share('30'));
    }

    private static function withDay(string $day): Plan
    {
        return Sample::edit(Sample::planted(), ['plants.c1.day' => $day]);
    }
}
