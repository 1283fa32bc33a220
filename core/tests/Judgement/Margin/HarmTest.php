<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\Harm\Ahead;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\Harm\Verdict;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Replay\Tanks;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Harm decides: each sort on both sides of its weight, what is said of it, and that one clump or one printed range refuses nothing. */
final class HarmTest extends TestCase
{
    private static function worst(Judgement $judgement, HarmId $id): ?Harm
    {
        foreach ($judgement->harms as $harm) {
            if ($harm->id === $id) {
                return $harm;
            }
        }

        return null;
    }

    /** @param array<string, string> $edits */
    private static function judged(array $edits, ?Plan $plan = null): Judgement
    {
        return Judge::judge(Sample::edit($plan ?? Sample::planted(), $edits));
    }

    public function testEachHarmHasItsWeightWithAReason(): void
    {
        foreach (HarmId::cases() as $id) {
            $weight = $id->weight();
            self::assertGreaterThan(0.0, $weight->tight, $id->value);
            self::assertNotSame('', $weight->reason);
            $message = new Message('harm');
            $at = static fn (float $amount): MarginState => (new Harm($id, '', $amount, 0, $message))->state;
            self::assertSame(MarginState::Holds, $at(0.999 * $weight->tight), $id->value);
            self::assertSame($weight->tight < $weight->fails ? MarginState::Tight : MarginState::Fails, $at(1.001 * $weight->tight));
            if (is_finite($weight->fails)) {
                self::assertSame(MarginState::Fails, $at(1.001 * $weight->fails), $id->value);
                self::assertNotSame(MarginState::Fails, $at(0.999 * $weight->fails), $id->value);
            }
        }
    }

    /** From one tank in ten on it is tight, from four on it fails, whatever the likeliest tank does. */
    #[TestWith([0.09, MarginState::Holds])]
    #[TestWith([0.11, MarginState::Tight])]
    #[TestWith([0.39, MarginState::Tight])]
    #[TestWith([0.41, MarginState::Fails])]
    public function testWhatMostTanksComeToDecides(float $sure, MarginState $state): void
    {
        $spared = new Harm(HarmId::Losses, 'x', 0.0, 10, new Message('harm.losses'));
        self::assertSame($state, $spared->withSureness($sure)->state);
        self::assertSame('harm.possible', $spared->withSureness($sure)->message->id, 'the likeliest tank is spared');
    }

    public function testASoundTankHoldsAndSaysForWhom(): void
    {
        $judgement = Judge::judge(Sample::planted());
        self::assertSame(MarginState::Holds, $judgement->state, Said::all($judgement->verdict));
        self::assertSame('verdict.holds(kinds: [Least killifish], more: 0)', Said::all($judgement->verdict));
        self::assertSame([], $judgement->weighing());
    }

    /** @param array<string, string> $edits */
    #[TestWith([HarmId::Losses, ['feeding.grams' => '0', 'animals.a1.count' => '40'], 'cause: hunger'])]
    #[TestWith([HarmId::Losses, ['feeding.grams' => '5', 'animals.a1.day' => '0', 'animals.a1.count' => '400'], 'cause: oxygen'])]
    #[TestWith([HarmId::Water, ['animals.a1.day' => '0', 'animals.a1.count' => '60', 'feeding.grams' => '0.6'], 'what: '])]
    #[TestWith([HarmId::Temperature, ['site.temperature' => '12 °C'], 'way: cold'])]
    #[TestWith([HarmId::Temperature, ['site.temperature' => '33 °C'], 'way: heat'])]
    #[TestWith([HarmId::Waters, ['water.gh' => '0.3', 'water.kh' => '0.3', 'water.pH' => '5.5', 'topUp.kind' => 'rain'], 'way: '])]
    #[TestWith([HarmId::Room, ['animals.a1.count' => '80'], 'harm.crowded'])]
    #[TestWith([HarmId::Plants, ['light.lumens' => '30'], 'cause: dark'])]
    #[TestWith([HarmId::Breakage, ['vessel.glass' => '3 mm'], 'harm.pane'])]
    #[TestWith([HarmId::Breakage, ['site.bears' => '10 kg'], 'harm.support'])]
    public function testEachHarmIsFoundAndSaysWhoAndWhy(HarmId $id, array $edits, string $says): void
    {
        $judgement = self::judged($edits);
        $harm = self::worst($judgement, $id);
        self::assertNotNull($harm);
        self::assertSame(MarginState::Fails, $harm->state, Said::plain($harm->message));
        self::assertStringContainsString($says, Said::plain($harm->message));
        self::assertNotSame([], $harm->averts);
        self::assertSame(MarginState::Fails, $judgement->state);
        self::assertSame($judgement->harms[0]->message, $judgement->verdict[0], 'the gravest is said first');
    }

    /** Two males of a fighting kind, in any tank; one of them alone; a kind that bites long fins. */
    public function testRulesOfCompanyHoldInAnyTank(): void
    {
        $large = Sample::edit(Sample::planted(), [
            'animals.a1.remove' => '1', 'vessel.length' => '150 cm', 'vessel.width' => '50 cm', 'vessel.glass' => '15 mm',
        ]);
        $fighters = static fn (string $count, string $sexes): ?Harm => self::worst(
            self::judged(['animals.add.betta-splendens' => $count, 'animals.a1.sexes' => $sexes], $large),
            HarmId::Company,
        );
        self::assertSame('harm.males-kill', $fighters('2', 'males')?->message->id);
        self::assertNull($fighters('1', 'males'));
        self::assertNull($fighters('2', 'females'));
        $bitten = self::judged(['animals.add.poecilia-reticulata' => '6', 'animals.add.jordanella-floridae' => '4'], $large);
        self::assertSame('harm.nips', self::worst($bitten, HarmId::Company)?->message->id);
    }

    /** Outside of the range in which a kind thrives is worth knowing; outside of that in which it is kept is harm. */
    public function testTwoRanges(): void
    {
        $neons = [
            'animals.a1.remove' => '1',
            'animals.add.paracheirodon-innesi' => '10',
            'topUp.kind' => 'rain',
            'vessel.length' => '80 cm',
        ];
        $at = static fn (string $gh): Judgement => self::judged([...$neons, 'water.gh' => $gh, 'vessel.glass' => '8 mm']);
        self::assertNotSame(MarginState::Fails, self::worst($at('16'), HarmId::Waters)?->state, 'over the 12 of its range');
        self::assertContains('water', array_map(static fn (Ahead $a): string => $a->id, $at('16')->ahead));
        self::assertSame(MarginState::Fails, self::worst($at('22'), HarmId::Waters)?->state, 'over the 20 in which it is kept');
    }

    /** Topping up with hard water is care, not a fault of the tank. */
    public function testWaterThatGetsHarderIsTight(): void
    {
        $judgement = self::judged(
            ['vessel.height' => '15 cm', 'waterLine' => '14 cm', 'topUp.kind' => 'tap-hard', 'animals.a1.count' => '6'],
        );
        $creep = self::worst($judgement, HarmId::Minerals);
        self::assertSame(MarginState::Tight, $creep?->state);
        self::assertSame('avert.minerals', $creep->averts[0]->id);
    }

    /** One clump that fades among many that grow is told, and refuses nothing. */
    public function testOneClumpOfManyRefusesNothing(): void
    {
        $plan = Sample::edit(Sample::planted(), ['plants.add.micranthemum-callitrichoides' => '3', 'light.lumens' => '600']);
        $judgement = Judge::judge($plan);
        self::assertNotSame(MarginState::Fails, $judgement->state, Said::all($judgement->verdict));
        $fades = array_filter($judgement->ahead, static fn (Ahead $a): bool => 'fades' === $a->id);
        self::assertSame(['micranthemum-callitrichoides'], array_values(array_map(static fn (Ahead $a): string => $a->about, $fades)));
    }

    /** What is seen in the first weeks is told beforehand, with its weeks, and frightens nobody. */
    public function testTheFirstWeeksAreTold(): void
    {
        $ahead = array_column(Judge::judge(Tanks::of(Method::ThinSoil, 'box'))->ahead, null, 'id');
        self::assertArrayHasKey('dust', $ahead);
        self::assertTrue($ahead['dust']->harmless);
        self::assertLessThan(21, $ahead['dust']->from, 'C: brown dust in weeks two to five');
        self::assertLessThan(60, $ahead['dust']->to);
        self::assertArrayHasKey('melt', $ahead);
        self::assertArrayHasKey('gas', $ahead);
    }

    /** A bed of sand, planted thick, nobody fed: the plants go hungry, and it says so. */
    public function testPlantsThatGoHungryAreTold(): void
    {
        $ahead = array_column(
            self::judged([
                'bed.soil.material' => 'none', 'animals.a1.remove' => '1', 'feeding.grams' => '0', 'plants.c1.pieces' => '80',
            ])->ahead,
            null,
            'id',
        );
        self::assertArrayHasKey('hunger', $ahead);
        self::assertFalse($ahead['hunger']->harmless);
        self::assertArrayNotHasKey('hunger', array_column(Judge::judge(Sample::planted())->ahead, null, 'id'));
    }

    /** Making a tank better in one thing never makes its verdict worse. */
    #[TestWith(['animals.a1.count', '10', '6'])]
    #[TestWith(['vessel.glass', '5 mm', '8 mm'])]
    #[TestWith(['feeding.grams', '0.3', '0.05'])]
    #[TestWith(['site.temperature', '29 °C', '25 °C'])]
    #[TestWith(['animals.a1.day', '0', '35'])]
    #[TestWith(['plants.c1.pieces', '20', '40'])]
    #[TestWith(['site.bears', '60 kg', '200 kg'])]
    public function testWhatIsBetterIsNeverJudgedWorse(string $place, string $worse, string $better): void
    {
        foreach ([[], ['animals.a1.count' => '25', 'feeding.grams' => '0.15'], ['light.lumens' => '900']] as $before) {
            $plan = [] === $before ? Sample::planted() : Sample::edit(Sample::planted(), $before);
            self::assertLessThanOrEqual(
                self::judged([$place => $worse], $plan)->state->rank(),
                self::judged([$place => $better], $plan)->state->rank(),
            );
        }
    }

    public function testABandTellsOfHarmAndTheJudgementFollowsIt(): void
    {
        $plan = Sample::planted();
        $band = new Band($plan, 8);
        $sureness = Band::sureness(array_map($band->member(...), range(0, 7)));
        self::assertArrayHasKey('harm losses', $sureness->spreads);
        $judgement = Judge::judge($plan)->with($sureness, $plan);
        self::assertSame(Harms::state($judgement->harms), $judgement->state);
        self::assertSame(
            "verdict.sure(holds: $sureness->together, of: 8)",
            Said::plain($judgement->verdict[\count($judgement->verdict) - 1]),
        );
    }

    /** A pane is told to be thin where it is tight, and to break from where it fails. */
    #[TestWith(['4.4 mm', MarginState::Tight, 'edge: yes'])]
    #[TestWith(['3.7 mm', MarginState::Fails, 'edge: no'])]
    public function testAPaneIsThinBeforeItBreaks(string $glass, MarginState $state, string $said): void
    {
        $judged = Judge::judge(Sample::edit(Sample::planted(), ['vessel.glass' => $glass]), days: 30);
        $panes = array_values(array_filter($judged->harms, static fn (Harm $h): bool => 'pane' === $h->about));
        self::assertSame($state, $panes[0]->state);
        self::assertStringContainsString($said, Said::plain($panes[0]->message));
    }

    public function testAClosedJarIsNotAskedForAnimals(): void
    {
        $plan = Sample::edit(Plan::starting('Jar', Sample::catalogue()), ['plants.add' => 'cryptocoryne-wendtii', 'light.lumens' => '900']);
        self::assertSame('verdict.holds-plants', Verdict::of($plan, [])[0]->id);
        $sealed = Sample::edit($plan, ['site.sealed' => 'yes']);
        self::assertSame('verdict.holds-sealed', Verdict::of($sealed, [])[0]->id);
    }
}
