<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\RemedySearch;
use Olvek\Core\Judgement\Margin\Voice;
use Olvek\Core\Nature\Light\Canopy;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class JudgeTest extends TestCase
{
    /** The tank that all margins but the usual creep of minerals should pass: topped up with rain it is the trade's textbook case. */
    private static function sound(): Plan
    {
        return Sample::edit(Sample::planted(), ['topUp.kind' => 'rain', 'light.hours' => '7']);
    }

    public function testAWellPlantedUnderstockedTankHolds(): void
    {
        $judgement = Judge::judge(self::sound());

        self::assertNotSame(MarginState::Fails, $judgement->state);
        foreach ($judgement->margins as $margin) {
            if (MarginId::PH !== $margin->id) {
                self::assertSame(MarginState::Holds, $margin->state, $margin->name.': '.$margin->sentence);
            }
        }
    }

    public function testEveryMarginOfTheTradeIsJudged(): void
    {
        self::assertSame(
            MarginId::cases(),
            array_map(static fn (Margin $m): MarginId => $m->id, Judge::judge(Sample::planted())->margins),
        );
    }

    /** @param array<string, string> $edits */
    #[TestWith(['ammonia', ['feeding.grams' => '5', 'animals.a1.day' => '0', 'animals.a1.count' => '400']])]
    #[TestWith(['nitrite', ['animals.a1.day' => '0', 'animals.a1.count' => '60', 'feeding.grams' => '0.6']])]
    #[TestWith(['nitrate', ['feeding.grams' => '0.6', 'animals.a1.count' => '80']])]
    #[TestWith(['oxygen', ['feeding.grams' => '2', 'animals.a1.count' => '100']])]
    #[TestWith(['ph', ['water.kh' => '0.3']])]
    #[TestWith(['minerals', ['vessel.height' => '15 cm', 'waterLine' => '14 cm', 'topUp.kind' => 'tap-hard']])]
    #[TestWith(['light', ['light.lumens' => '200']])]
    #[TestWith([
        'fed',
        [
            'bed.soil.material' => 'none',
            'animals.a1.remove' => '1',
            'water.nitrate' => '0',
            'light.lumens' => '6000',
            'water.gh' => '0',
            'topUp.kind' => 'reverse-osmosis',
            'plants.c1.pieces' => '5',
            'plants.c2.remove' => '1',
            'plants.add.salvinia-natans' => '2',
            'light.hours' => '12',
        ],
    ]),]
    #[TestWith([
        'carbon',
        [
            'bed.soil.material' => 'garden-compost',
            'bed.soil.front' => '5 cm',
            'bed.soil.back' => '5 cm',
            'animals.a1.day' => '3',
            'light.hours' => '6',
        ],
    ]),]
    #[TestWith(['mass', ['light.lumens' => '30']])]
    #[TestWith(['waters', ['water.gh' => '0.3', 'water.kh' => '0.3', 'water.pH' => '5.5', 'topUp.kind' => 'reverse-osmosis']])]
    #[TestWith([
        'algae',
        ['plants.c1.remove' => '1', 'plants.c2.pieces' => '1', 'light.hours' => '14', 'feeding.grams' => '1', 'light.lumens' => '5000'],
    ]),]
    #[TestWith([
        'bed',
        [
            'bed.soil.material' => 'garden-compost',
            'bed.soil.front' => '10 cm',
            'bed.soil.back' => '10 cm',
            'plants.c1.remove' => '1',
            'plants.c2.pieces' => '1',
        ],
    ]),]
    #[TestWith(['room', ['animals.a1.count' => '60']])]
    #[TestWith(['temperature', ['site.temperature' => '12 °C']])]
    #[TestWith(['stock', ['feeding.grams' => '3', 'animals.a1.count' => '200', 'plants.c1.remove' => '1', 'plants.c2.pieces' => '2']])]
    #[TestWith(['losses', ['feeding.grams' => '0', 'animals.a1.count' => '40']])]
    public function testEachMarginCanFailAndSaysWhy(string $margin, array $edits): void
    {
        self::assertNotSame(MarginState::Fails, Judge::judge(self::sound())->margin(MarginId::from($margin))->state);
        $judgement = Judge::judge(Sample::edit(Sample::planted(), $edits));

        self::assertSame(
            MarginState::Fails,
            $judgement->margin(MarginId::from($margin))->state,
            $judgement->margin(MarginId::from($margin))->sentence.' '.$judgement->margin(MarginId::from($margin))->shown,
        );
        self::assertNotSame([], $judgement->margin(MarginId::from($margin))->terms);
    }

    /**
     * What methods ask is said, and fails nothing by itself.
     *
     * @param array<string, string> $edits
     */
    #[TestWith(['planted', ['plants.c1.pieces' => '10', 'plants.c2.pieces' => '1']])]
    #[TestWith(['cap', ['bed.soil.back' => '6 cm']])]
    public function testPracticeIsNotedAndRefusesNothing(string $margin, array $edits): void
    {
        // Seeded, so that nitrite comes nowhere near.
        $judgement = Judge::judge(Sample::edit(Sample::planted(), ['start.inoculum' => 'sponge', ...$edits]));
        self::assertSame(MarginState::Tight, $judgement->margin(MarginId::from($margin))->state);
        self::assertSame(Voice::Practice, $judgement->margin(MarginId::from($margin))->voice);
        self::assertLessThan($judgement->margin(MarginId::from($margin))->limit, $judgement->margin(MarginId::from($margin))->value);
        self::assertSame(MarginState::Holds, $judgement->state);
    }

    /** A film of soil is spent at once; where water and mulm feed the plants meanwhile, that is tight and no failure. */
    public function testAFilmOfSoilIsSpentAtOnce(): void
    {
        $soil = Judge::judge(Sample::edit(Sample::planted(), ['bed.soil.front' => '0.3 cm', 'bed.soil.back' => '0.3 cm']))->margin(
            MarginId::Soil,
        );
        self::assertSame(MarginState::Tight, $soil->state);
        self::assertLessThan(0.4, $soil->measure);
        self::assertGreaterThan(0.6, Judge::judge(Sample::planted())->margin(MarginId::Soil)->measure);
    }

    public function testHelpsAreTriedBeforeTheyAreNamed(): void
    {
        $plan = Sample::edit(Sample::planted(), ['animals.a1.day' => '0', 'animals.a1.count' => '60', 'feeding.grams' => '0.6']);
        $editor = new Editor(Sample::catalogue());
        $helps = (new RemedySearch($editor))->for($plan, MarginId::Nitrite, UnitSystem::Metric);

        self::assertNotSame([], $helps);
        self::assertLessThanOrEqual(3, \count($helps));
        $before = Judge::judge($plan)->margin(MarginId::Nitrite);
        foreach ($helps as $help) {
            $after = Judge::judge($editor->apply($plan, $help->edits(), UnitSystem::Metric)->plan)->margin(MarginId::Nitrite);
            self::assertSame($after->shown, $help->after, $help->words);
            self::assertGreaterThan($before->position(), $after->position(), $help->words);
        }
    }

    public function testWrongWarmthOrTooSmallAGroupIsTold(): void
    {
        $cold = Judge::judge(Sample::edit(Sample::planted(), ['site.temperature' => '12 °C']));
        self::assertMatchesRegularExpression(
            '/wants 1\d °C–2\d °C, the water is at 12/',
            str_replace("\u{00A0}", ' ', $cold->margin(MarginId::Temperature)->sentence),
        );
        $lonely = Judge::judge(Sample::edit(Sample::planted(), ['animals.a1.count' => '2']));
        self::assertStringContainsString('6 or more', $lonely->margin(MarginId::Room)->sentence);
    }

    public function testSmallTanksAreNoPlaceForFish(): void
    {
        $plan = Sample::edit(Sample::planted(), [
            'vessel.length' => '20 cm',
            'vessel.width' => '20 cm',
            'vessel.height' => '25 cm',
            'waterLine' => '23 cm',
        ]);
        self::assertSame(MarginState::Fails, Judge::judge($plan)->margin(MarginId::Room)->state);
    }

    public function testFloatersShadeWhatStandsBelow(): void
    {
        $open = ClumpLight::onDay(Sample::planted(), 28);
        $closed = ClumpLight::onDay(
            Sample::edit(Sample::edit(Sample::planted(), ['plants.add' => 'salvinia-natans']), ['plants.c3.pieces' => '30']),
            28,
        );

        self::assertSame(1.0, $closed->cover);
        // 30 handfuls of a gram lie in layers: 30 g on 55 g/m² of mat.
        self::assertEqualsWithDelta(
            Canopy::underFloaters(30 / 55 / Sample::planted()->surface()) * $open->clumps['c1'],
            $closed->clumps['c1'],
            1e-9,
        );
        self::assertEqualsWithDelta(0.14, Canopy::underFloaters(1.0), 1e-12);
        self::assertEqualsWithDelta(0.07, Canopy::underFloaters(2.0), 1e-12);
        self::assertGreaterThan($open->clumps['c2'], $open->clumps['c1'], 'the taller stand takes first');
        self::assertLessThan($open->bare, $open->bed);
    }

    /** 2000 lm / 70 lm per µmol/s × 0.6 over 0.588 × 0.288 m = 101.2 µmol/m²/s; × 3600 × 8 h / 10⁶ = 2.92 mol/m² a day. By hand. */
    public function testLampToLight(): void
    {
        $plan = Sample::planted();
        self::assertEqualsWithDelta(101.23, $plan->lamp->atSurface($plan->vessel->areaAt(0)), 0.01);
        self::assertEqualsWithDelta(2.915, $plan->lamp->dailyIntegral(101.23), 0.001);
    }

    public function testSoilIsJudgedByTheRatesThatItWasRunWith(): void
    {
        $plan = Sample::planted();
        $trace = (new Runner($plan))->run(Judge::FIRST_YEAR);
        $quick = (new Parameters())->with(['readyRate' => 0.006]);
        $years = static fn (Parameters $p): string => array_column(
            Judge::fromTrace($plan, $trace, parameters: $p)->margin(MarginId::Soil)->terms,
            'value',
            'label',
        )['nitrogen falls to a tenth of what roots could use'];
        self::assertNotSame($years(new Parameters()), $years($quick));
    }

    public function testEmptyTanksAreJudgedToo(): void
    {
        $judgement = Judge::judge(Plan::starting('Bare', Sample::catalogue()));
        self::assertSame('harm.empty', $judgement->verdict[0]->id);
        self::assertSame(MarginState::Fails, $judgement->state);
    }

    public function testTheSamePlanGetsTheSameJudgement(): void
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            $plan = Sample::random($seed);
            $judgement = Judge::judge($plan, UnitSystem::Us);
            self::assertEquals($judgement, Judge::judge($plan, UnitSystem::Us));
            foreach ($judgement->margins as $margin) {
                self::assertTrue(is_finite($margin->value));
                self::assertGreaterThanOrEqual(0.0, $margin->position());
                self::assertLessThanOrEqual(1.0, $margin->position());
            }
        }
    }
}
