<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Sign;

use Olvek\Core\Judgement\Sign\Facts\Findings;
use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Keeping\Log\Sign;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Where a fact begins to be so and where it plainly is: on both sides of each limit, and what else says so. */
final class FactsTest extends TestCase
{
    private static function finding(string $fact, string $edits, string $log, int $day, string $signs = 'pale-tips:c1 dead:a1'): Finding
    {
        $found = Findings::of(Cases::case($edits, $log, $day, $signs));
        self::assertArrayHasKey($fact, $found);

        return $found[$fact];
    }

    /**
     * A reading or an amount at which the fact is not so, and one at which it plainly is; a step from each into the space between.
     *
     * @param string $log with %s for the number
     */
    #[TestWith(['ammonia-shows', '60 reading ammonia %s', 0.0833, 0.25])]
    #[TestWith(['nitrite-shows', '60 reading nitrite %s', 0.05, 0.15])]
    #[TestWith(['nitrate-low', '60 reading nitrate %s', 1.2, 0.3])]
    #[TestWith(['nitrate-high', '60 reading nitrate %s', 6.0, 12.0])]
    #[TestWith(['phosphate-low', '60 reading phosphate %s', 0.1, 0.02])]
    #[TestWith(['iron-low', '60 reading iron %s', 0.1, 0.03])]
    #[TestWith(['soft-water', '60 reading gh %s', 6.0, 3.0])]
    #[TestWith(['hard-water', '60 reading gh %s', 12.0, 18.0])]
    #[TestWith(['acid', '60 reading ph %s', 6.6, 6.0])]
    #[TestWith(['warm', '60 reading temperature %s', 27.0, 29.5])]
    #[TestWith(['cold', '60 reading temperature %s', 17.0, 14.5])]
    #[TestWith(['ph-swing', '60 reading ph-dawn 7; 60 reading ph-dusk %s', 7.5, 8.2])]
    #[TestWith(['temperature-jump', '58 reading temperature 25; 60 reading temperature %s', 23.5, 21.0])]
    #[TestWith(['much-water-changed', '60 deed change %s', 0.25, 0.45])]
    #[TestWith(['long-day', '50 deed light %s', 8.5, 10.5])]
    #[TestWith(['light-raised', '50 deed light %s', 8.25, 9.5])]
    #[TestWith(['food-doubled', '50 deed feed %s', 0.06, 0.09])]
    #[TestWith(['floaters-closed', '60 reading cover %s', 0.5, 0.8])]
    #[TestWith(['wrong-water', '60 reading gh 9; 60 reading ph %s', 8.3, 8.8])]
    public function testANumberBetweenItsLimits(string $fact, string $log, float $no, float $yes): void
    {
        $degree = static fn (float $number): float => self::finding(
            $fact,
            'plants.add.salvinia-natans=5',
            \sprintf($log, $number),
            61,
        )->degree;
        $step = ($yes - $no) / 20;
        self::assertEqualsWithDelta(0.0, $degree($no), 1e-3);
        self::assertGreaterThan(0.01, $degree($no + $step));
        self::assertLessThan(0.99, $degree($yes - $step));
        self::assertEqualsWithDelta(1.0, $degree($yes), 1e-3);
    }

    /** A number of days ago, up to which it is plainly so, and from which it is not. */
    #[TestWith(['freshly-planted', '%d deed plant 5 c1', 21, 42])]
    #[TestWith(['arrivals', '%d deed stock 5 a1', 24, 40])]
    #[TestWith(['just-arrived', '%d deed stock 5 a1', 4, 10])]
    public function testSomethingThatFadesWithTheDays(string $fact, string $log, int $until, int $gone): void
    {
        $degree = static fn (int $ago): float => self::finding($fact, '', \sprintf($log, 150 - $ago), 150)->degree;
        self::assertSame(1.0, $degree($until));
        self::assertLessThan(1.0, $degree($until + 1));
        self::assertGreaterThan(0.0, $degree($gone - 1));
        self::assertSame(0.0, $degree($gone));
    }

    #[TestWith(['new-tank', 42, 84])]
    #[TestWith(['first-days', 4, 10])]
    public function testATankGrowsOld(string $fact, int $until, int $gone): void
    {
        $degree = static fn (int $day): float => self::finding($fact, '', '', $day)->degree;
        self::assertSame([1.0, 0.0], [$degree($until), $degree($gone)]);
        self::assertLessThan(1.0, $degree($until + 1));
        self::assertGreaterThan(0.0, $degree($gone - 1));
    }

    /** Within its days a line counts, a day earlier it does not. */
    #[TestWith(['water-changed', '%d deed change 0.3', 3])]
    #[TestWith(['fertilised', '%d deed fertilise 0.5', 14])]
    #[TestWith(['losses', '%d deed lost 1 a1', 14])]
    #[TestWith(['stirred', '%d deed mulm-out 0.3', 7])]
    #[TestWith(['plants-came', '%d deed plant 5 c1', 60])]
    #[TestWith(['food-doubled', '%d deed feed 0.2', 35])]
    #[TestWith(['light-raised', '%d deed light 11', 28])]
    public function testALineCountsForItsDays(string $fact, string $log, int $days): void
    {
        $chance = static fn (int $ago): float => self::finding($fact, '', \sprintf($log, 150 - $ago), 150)->chance;
        self::assertGreaterThan(0.7, $chance($days - 1));
        self::assertLessThan(0.3, $chance($days));
    }

    /** A reading tells of the water for ten days; then the run does. */
    public function testAnOldReadingTellsNothing(): void
    {
        self::assertSame(Source::Read, self::finding('nitrate-low', '', '51 reading nitrate 9', 60)->source);
        self::assertSame(Source::Run, self::finding('nitrate-low', '', '50 reading nitrate 9', 60)->source);
    }

    #[TestWith(['buried', 'plants.add.anubias-nana=2; plants.c3.planting=deep', 'slime:c3'])]
    #[TestWith(['moss-or-epiphyte', 'plants.add.taxiphyllum-barbieri=2', 'moss-brown:c3'])]
    #[TestWith(['house-plant', 'plants.add.epipremnum-aureum=1', 'yellow-in-air:c3'])]
    #[TestWith(['in-raw-soil', 'plants.c1.planting=deep', 'stunted:c1'])]
    #[TestWith(['root-feeder', '', 'melt:c2'])]
    #[TestWith(['fast-plant', '', 'pale-tips:c1'])]
    #[TestWith(['plant-eaters', 'animals.add.lymnaea-stagnalis=2 on 10', 'holes'])]
    #[TestWith(['burrowers', 'animals.add.melanoides-tuberculata=5 on 10', 'floating-up'])]
    #[TestWith(['jumper-open', 'animals.add.oryzias-latipes=6 on 10', 'vanished:a2'])]
    #[TestWith(['predators', 'animals.add.neocaridina-davidi=9 on 9; animals.add.macropodus-opercularis=1 on 10', 'vanished:a2'])]
    #[TestWith(['mixed-tempers', 'animals.add.betta-splendens=1 on 10', 'torn-fins:a1'])]
    #[TestWith(['group-small', 'animals.a1.count=2; animals.a1.day=5', 'hiding:a1'])]
    #[TestWith(['invertebrates', 'animals.add.neocaridina-davidi=9 on 9', 'hiding:a2'])]
    #[TestWith(['breeders', 'animals.a1.day=5', 'many-young:a1'])]
    #[TestWith(['sun', 'site.aspect=south', 'green-water'])]
    #[TestWith(['bright', 'light.lumens=9000', 'green-dust'])]
    #[TestWith(['little-light', 'light.lumens=150', 'leggy:c1'])]
    #[TestWith(['few-plants', 'plants.c1.pieces=2; plants.c2.pieces=1', 'threads'])]
    #[TestWith(['still-surface', '', 'film'])]
    #[TestWith(['brown-source', 'hardscape.add=bog-wood', 'tint'])]
    #[TestWith(['new-wood', 'hardscape.add=bog-wood', 'white-fluff'])]
    #[TestWith(['deep-bed', 'bed.soil.front=6 cm; bed.soil.back=8 cm', 'egg-smell'])]
    #[TestWith(['bed-bare', 'plants.c1.pieces=2; plants.c2.pieces=1', 'egg-smell'])]
    #[TestWith(['carbon-added', 'care.gas=20', 'black-tufts'])]
    #[TestWith(['outdoors', 'site.aspect=open', 'larvae'])]
    #[TestWith(['open-top', '', 'larvae'])]
    #[TestWith(['crowded', 'animals.a1.count=80; animals.a1.day=5', 'dead'])]
    #[TestWith(['fed-much', 'animals.a1.day=5; feeding.grams=0.2', 'many-snails'])]
    #[TestWith(['fed-little', 'animals.a1.day=5; feeding.grams=0.01', 'thin:a1'])]
    #[TestWith(['few-animals', 'animals.a1.day=100', 'pale-tips'])]
    public function testWhatThePlanSays(string $fact, string $edits, string $signs): void
    {
        self::assertGreaterThan(0.6, self::finding($fact, $edits, '', 40, $signs)->chance);
    }

    #[TestWith(['buried', 'slime:c2'])]
    #[TestWith(['fast-plant', 'melt:c2'])]
    #[TestWith(['plant-eaters', 'holes'])]
    #[TestWith(['sun', 'green-water'])]
    #[TestWith(['bright', 'green-dust'])]
    #[TestWith(['predators', 'vanished:a1'])]
    #[TestWith(['deep-bed', 'egg-smell'])]
    #[TestWith(['carbon-added', 'black-tufts'])]
    #[TestWith(['crowded', 'dead'])]
    #[TestWith(['few-plants', 'threads'])]
    public function testAndWhatItDoesNot(string $fact, string $signs): void
    {
        self::assertLessThan(0.4, self::finding($fact, '', '', 40, $signs)->chance);
    }

    /** Of a part of the bed that is named its own depth counts; an alga may be seen on one plant. */
    public function testWhereItIsSeenCounts(): void
    {
        $edits = 'zones.add=terrace; zones.z1.soil=8 cm; zones.z1.cap=4 cm';
        self::assertGreaterThan(0.8, self::finding('deep-bed', $edits, '', 40, 'black-bed:z1')->chance);
        self::assertArrayHasKey('fast-plant', Findings::of(Cases::case('', '', 40, 'black-tufts:c1')));
        $plan = Cases::case($edits, '', 40, '')->plan;
        self::assertSame(['z1'], array_keys(Sign::BlackBed->places($plan)));
        self::assertSame(['c1', 'c2'], array_keys(Sign::BlackTufts->places($plan)));
        self::assertSame(['a1'], array_keys(Sign::Spots->places($plan)));
        self::assertSame([], Sign::Haze->places($plan));
    }

    /** Which plant it is says nothing where nobody names one. */
    public function testOfManyPlantsNoKindIsTold(): void
    {
        $found = Findings::of(Cases::case('', '', 40, 'pale-tips'));
        self::assertArrayNotHasKey('fast-plant', $found);
        self::assertArrayHasKey('fast-plant', Findings::of(Cases::case('', '', 40, 'pale-tips:c1')));
    }

    /** A test is believed more than a run, a run of a tank that was guessed least. */
    public function testSourcesAreBelievedByWhatTheyAre(): void
    {
        $chances = array_map(
            static fn (Source $s): float => (new Finding('x', 1.0, '', $s))->chance,
            [Source::Read, Source::Planned, Source::Run, Source::Guess],
        );
        $sorted = $chances;
        rsort($sorted);
        self::assertSame($sorted, $chances);
        self::assertGreaterThan(0.5, min($chances));
        self::assertSame(0.5, (new Finding('x', 0.5, '', Source::Read))->chance);
    }

    /** Whoever never logs who comes has them in as planned; whoever does has only those. */
    public function testWhoIsIn(): void
    {
        self::assertStringContainsString('came on day 28', self::finding('arrivals', '', '', 40)->words);
        self::assertStringContainsString('came on day 35', self::finding('arrivals', '', '35 deed stock 3 a1', 40)->words);
        self::assertStringContainsString('No animals', self::finding('arrivals', 'animals.a1.day=50', '', 40)->words);
    }
}
