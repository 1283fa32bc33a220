<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Water\Nitrification;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\ThinFloaters;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * What was measured elsewhere and went into no constant of the run, as ranges. Every number here is M: written down from memory of the
 * paper that is named beside it.
 */
final class PublishedTest extends TestCase
{
    /** A glass of water in good light without soil. */
    private const GLASS = ['bed.soil.material' => 'none', 'water.nitrate' => '20', 'water.phosphate' => '3', 'light.hours' => '13'];

    /** @param array<string, string> $edits */
    private static function plan(array $edits): Plan
    {
        return Sample::edit(Plan::starting('Waiting hall', Sample::catalogue()), $edits);
    }

    /** @param list<Event> $events */
    private static function lived(Plan $plan, int $days, array $events = []): Trace
    {
        return (new Runner($plan))->run($days, $events);
    }

    /**
     * Lasfar and others (2007), Water Res. 41: duckweed stops at 176 g/m²; Driever, van Nes & Roijackers (2005), Aquat. Bot. 81: about 180.
     * They saw 0.2–0.6 d⁻¹ before.
     */
    public function testDuckweedGrowsAndStopsAsInTheDishes(): void
    {
        $plan = self::plan([
            ...self::GLASS,
            'site.temperature' => '26',
            'light.lumens' => '12000',
            'care.changeShare' => '50',
            'care.changeEvery' => '3',
            'plants.add.lemna-minor' => '2',
        ]);
        $mass = array_map(static fn (array $clumps): float => $clumps[0], self::lived($plan, 120)->clumps);
        $growth = log($mass[5] / $mass[1]) / 4;
        self::assertGreaterThan(0.2, $growth);
        self::assertLessThan(0.62, $growth);
        self::assertGreaterThan(120.0, $mass[119] / $plan->surface());
        self::assertLessThan(220.0, $mass[119] / $plan->surface());
    }

    /** Reddy & DeBusk (1985), J. Environ. Qual. 14: mg N a square metre and day taken out of rich water, Florida's winter and summer. */
    #[TestWith(['lemna-minor', '6', 70.0, 292.0])]
    #[TestWith(['salvinia-natans', '8', 96.0, 406.0])]
    #[TestWith(['pistia-stratiotes', '10', 258.0, 985.0])]
    #[TestWith(['pontederia-crassipes', '12', 254.0, 1278.0])]
    public function testFloatersTakeOutWhatWasTakenOut(string $kind, string $pieces, float $winter, float $summer): void
    {
        $plan = self::plan([
            ...self::GLASS,
            'site.temperature' => '28',
            'light.lumens' => '15000',
            'care.changeShare' => '90',
            'care.changeEvery' => '2',
            "plants.add.$kind" => $pieces,
        ]);
        $taken = \array_slice(self::lived($plan, 90, [new ThinFloaters(0.8, 0.3)])->columns['taken'], 60);
        $daily = array_sum($taken) / 30 / $plan->surface();
        self::assertGreaterThan($winter, $daily);
        self::assertLessThan($summer, $daily);
    }

    /**
     * Nielsen & Sand-Jensen (1991), Limnol. Oceanogr. 36: submerged plants in saturating light and the carbon dioxide of streams,
     * 0.015–0.11 d⁻¹.
     */
    #[TestWith(['elodea-canadensis'])]
    #[TestWith(['ceratophyllum-demersum'])]
    #[TestWith(['myriophyllum-spicatum'])]
    #[TestWith(['potamogeton-gayi'])]
    #[TestWith(['vallisneria-spiralis'])]
    #[TestWith(['callitriche-palustris'])]
    public function testSubmergedPlantsGrowAsInStreams(string $kind): void
    {
        $plan = self::plan([
            'bed.soil.material' => 'pond-plant-soil',
            'water.nitrate' => '3',
            'water.phosphate' => '0.3',
            'site.temperature' => '20',
            'site.movement' => 'lively',
            'light.lumens' => '6000',
            'light.hours' => '14',
            "plants.add.$kind" => '6',
        ]);
        $clumps = self::lived($plan, 31)->clumps;
        $growth = log($clumps[30][0] / $clumps[10][0]) / 20;
        self::assertGreaterThan(0.015, $growth);
        self::assertLessThan(0.11, $growth);
    }

    /**
     * Maberly & Spence (1983), J. Ecol. 71: shut in and lit, those that use carbon dioxide alone stop at pH 8.5–9.5, those that use
     * bicarbonate go past 10.
     */
    #[TestWith(['cabomba-caroliniana', 8.3, 9.6])]
    #[TestWith(['callitriche-palustris', 8.3, 9.6])]
    #[TestWith(['ceratophyllum-demersum', 10.0, 11.2])]
    #[TestWith(['elodea-canadensis', 10.0, 11.2])]
    #[TestWith(['vallisneria-spiralis', 10.0, 11.2])]
    public function testShutInPlantsDriveThePhAsFarAsTheyWereSeenTo(string $kind, float $low, float $high): void
    {
        $plan = Sample::edit(
            self::plan([
                'bed.soil.material' => 'none',
                'bed.cap.material' => 'none',
                'water.kh' => '6',
                'water.gh' => '8',
                'site.temperature' => '22',
                'light.lumens' => '6000',
                'light.hours' => '16',
                "plants.add.$kind" => '60',
            ]),
            ['site.sealed' => 'yes', 'waterLine' => '35.3 cm'],
        );
        $most = self::lived($plan, 20)->highest('pHMost')[0];
        self::assertGreaterThan($low, $most);
        self::assertLessThan($high, $most);
    }

    /**
     * Stanford & Smith (1972), Soil Sci. Soc. Am. J. 36: in thirty weeks at 35 °C, 4–32 % of a soil's nitrogen (18 %, 5–40, of which four
     * fifths by then).
     */
    #[TestWith(['garden-loam'])]
    #[TestWith(['bagged-topsoil'])]
    #[TestWith(['pond-plant-soil'])]
    #[TestWith(['worm-castings'])]
    public function testSoilFreesItsNitrogenAsInTheIncubator(string $soil): void
    {
        $left = self::lived(self::plan(['bed.soil.material' => $soil, 'site.temperature' => '35']), 210)->columns['soilNitrogen'];
        $freed = 1 - $left[209] / $left[0];
        self::assertGreaterThan(0.04, $freed);
        self::assertLessThan(0.32, $freed);
    }

    /**
     * Kaiser & Wheaton (1983), J. World Maric. Soc. 14, of filters begun without seed at 25 °C: ammonia at its highest about day 14,
     * nitrite about day 28, both gone by the seventh week. Within a factor of two.
     */
    public function testANewTankCyclesInItsOrderAndTime(): void
    {
        $plan = self::plan([
            'bed.soil.material' => 'none',
            'site.temperature' => '25',
            'water.kh' => '8',
            'animals.add.danio-rerio' => '12',
        ]);
        $trace = self::lived(Sample::edit($plan, ['feeding.grams' => '0.25', 'animals.a1.day' => '0']), 90);
        [$ammonia, $ammoniaDay] = $trace->highest('ammonia');
        [, $nitriteDay] = $trace->highest('nitrite');
        self::assertGreaterThan(1.0, $ammonia, 'there is something to see');
        self::assertGreaterThanOrEqual(7, $ammoniaDay);
        self::assertLessThanOrEqual(28, $ammoniaDay);
        self::assertGreaterThanOrEqual(14, $nitriteDay);
        self::assertLessThanOrEqual(56, $nitriteDay);
        self::assertGreaterThan($ammoniaDay, $nitriteDay);
        self::assertLessThan(0.1, $trace->columns['nitrite'][55]);
    }

    /**
     * Evaporation pans and lakes of temperate lowlands, by Penman (1948): 3–8 mm a day in high summer, 1–4 in spring; indoor pools at rest
     * 1–3.
     */
    public function testWaterDriesUpAsPansDo(): void
    {
        $daily = static function (array $edits): float {
            /** @var array<string, string> $edits */
            $plan = self::plan($edits);

            return self::lived($plan, 21)->columns['evaporated'][20] / $plan->surface();
        };
        $summer = $daily(['site.temperature' => '25', 'site.aspect' => 'open', 'site.sky' => '90']);
        $spring = $daily(['site.temperature' => '15', 'site.aspect' => 'open', 'site.sky' => '90']);
        $room = $daily(['site.temperature' => '24']);
        self::assertThat($summer, self::logicalAnd(self::greaterThan(3.0), self::lessThan(8.0)));
        self::assertThat($spring, self::logicalAnd(self::greaterThan(1.0), self::lessThan(4.0)));
        self::assertThat($room, self::logicalAnd(self::greaterThan(1.0), self::lessThan(3.0)));
    }

    /**
     * US EPA (1993), Nitrogen Control Manual: 1 − 0.833 (7.2 − pH) of the rate below pH 7.2. Tarre & Green (2004) saw films go on at pH 4.3
     * to 5, so that the line ends at three tenths, which it meets at pH 6.36.
     */
    #[TestWith([7.3, 1.0])]
    #[TestWith([7.2, 1.0])]
    #[TestWith([7.1, 0.9167])]
    #[TestWith([6.5, 0.4169])]
    #[TestWith([6.37, 0.3086])]
    #[TestWith([6.35, 0.3])]
    #[TestWith([4.3, 0.3])]
    public function testAcidSlowsNitrificationAndDoesNotEndIt(float $pH, float $share): void
    {
        self::assertEqualsWithDelta($share, Nitrification::acidityFactor($pH), 1e-4);
    }
}
