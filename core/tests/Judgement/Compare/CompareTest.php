<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Compare;

use Olvek\Core\Judgement\Compare\Difference;
use Olvek\Core\Judgement\Compare\Differences;
use Olvek\Core\Judgement\Compare\Doubt;
use Olvek\Core\Judgement\Compare\Part;
use Olvek\Core\Judgement\Compare\Side;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\TakePart;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Tests\Planning\Plan\Practice\Practice;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Two tanks side by side: equal things differ in nothing, and the differences named are the edits made. */
final class CompareTest extends TestCase
{
    private static function between(Plan $one, Plan $other): Differences
    {
        return Differences::between($one, $other, Sample::catalogue());
    }

    public function testEqualThingsDifferInNothing(): void
    {
        foreach ([Sample::planted(), ...Practice::plans()] as $plan) {
            $document = new PlanDocument(Sample::catalogue());
            $again = $document->fromJson($document->toJson($plan->withName('Another')));
            self::assertSame([], self::between($plan, $again)->all, $plan->name);
            self::assertSame('They differ in nothing.', self::between($plan, $again)->sentence());
        }
    }

    /** @return iterable<string, array{array<string, string>, list<string>}> edits, and the places that they change */
    public static function edits(): iterable
    {
        yield 'a number' => [['bed.cap.front' => '5 cm'], ['bed.cap.front']];
        yield 'another light' => [['light.hours' => '10', 'light.lumens' => '3000'], ['light.lumens', 'light.hours']];
        yield 'a word' => [['site.movement' => 'rippled'], ['site.movement']];
        yield 'yes for no' => [['site.lid' => 'yes'], ['site.lid']];
        yield 'a vessel' => [['vessel.length' => '80 cm'], ['vessel.length']];
        yield 'fewer pieces' => [['plants.c1.pieces' => '20'], ['plants.c1.pieces']];
        yield 'one more plant' => [['plants.add' => 'anubias-nana'], ['plants.there-c3']];
        yield 'more animals' => [['animals.a1.count' => '20'], ['animals.a1.count']];
        yield 'other water' => [['water.gh' => '3 °dH'], ['water.gh']];
        yield 'wood' => [['hardscape.add' => 'root-wood'], ['hardscape.there-h1']];
        yield 'something planned' => [['events.add.feed' => '90 0.1'], ['events.there-e1']];
        yield 'food' => [['feeding.grams' => '0.1'], ['feeding.grams']];
        yield 'care' => [['care.changeEvery' => '14', 'care.changeShare' => '20'], ['care.changeShare', 'care.changeEvery']];
        yield 'three at once' => [
            ['light.hours' => '7', 'plants.c2.pieces' => '12', 'water.kh' => '8 °dH'],
            ['light.hours', 'plants.c2.pieces', 'water.kh'],
        ];
    }

    /**
     * @param array<string, string> $edits
     * @param list<string>          $places
     */
    #[DataProvider('edits')]
    public function testTheDifferencesNamedAreTheEditsMade(array $edits, array $places): void
    {
        $plan = Sample::planted();
        $edited = Sample::edit($plan, $edits);
        self::assertEqualsCanonicalizing($places, self::places(self::between($plan, $edited)));
        $back = self::between($edited, $plan);
        self::assertCount(\count($places), $back->all);
        foreach (self::between($plan, $edited)->all as $n => $difference) {
            self::assertNotSame($difference->one, $difference->other);
            self::assertNotSame('', $difference->label);
            self::assertSame([$difference->one, $difference->other], [$back->all[$n]->other, $back->all[$n]->one]);
        }
    }

    public function testTheWordsAreAKeepers(): void
    {
        $plan = Sample::planted();
        $words = self::between($plan, Sample::edit($plan, ['bed.cap.front' => '5 cm']))->sentence();
        self::assertSame('The only difference is in the bed: cap at the front: 3 cm, there 5 cm.', str_replace("\u{00A0}", ' ', $words));
        $words = self::between($plan, Sample::edit($plan, ['bed.cap.front' => '5 cm', 'bed.cap.back' => '6 cm']))->sentence();
        self::assertSame('The only difference is the bed.', $words);
        $words = self::between($plan, Sample::edit($plan, ['bed.cap.front' => '5 cm', 'light.hours' => '9']))->sentence();
        self::assertSame('They differ in the bed and the light.', $words);
    }

    /** Of unlike tanks plants are matched by what they are, whatever their ids. */
    public function testUnlikeTanksAreMatchedByKind(): void
    {
        $one = Sample::planted();
        $other = Plan::starting('Other', Sample::catalogue());
        $other = Sample::edit($other, ['plants.add.cryptocoryne-wendtii' => '9', 'plants.add.anubias-nana' => '2']);
        $found = array_map(static fn (Difference $d): string => $d->words(), self::between($one, $other)->of(Part::Plants));
        self::assertContains('Ambulia: only here, 40 × Ambulia', $found);
        self::assertContains('Anubias nana: only there, 2 × Anubias nana', $found);
        self::assertSame([], array_filter($found, static fn (string $w): bool => str_contains($w, 'pieces')), implode("\n", $found));
    }

    /** In versions of one tank the same place may have another kind. */
    public function testAnotherKindInItsPlaceIsSaidAsThat(): void
    {
        $plan = Sample::planted();
        $other = $plan->withClump($plan->clumps[0]->withKind(Sample::catalogue()->plants['hygrophila-polysperma']));
        $found = self::between($plan, $other)->all;
        self::assertSame(['plants.c1'], array_map(static fn (Difference $d): string => $d->place, $found));
        self::assertSame(['Ambulia', 'Dwarf hygro'], [$found[0]->one, $found[0]->other]);
    }

    /** What does not matter as a plan stands is no difference: the watts of a heater that is not there. */
    public function testWhatDoesNotMatterIsNoDifference(): void
    {
        $heated = Sample::edit(Sample::planted(), ['equipment.heating' => 'tank', 'equipment.watts' => '50']);
        $cold = Sample::edit($heated, ['equipment.heating' => 'none']);
        self::assertSame(['equipment.heating'], self::places(self::between($heated, $cold)));
        self::assertSame(50.0, $cold->equipment->watts);
        self::assertSame([], self::between($cold, Sample::planted())->all);
    }

    public function testAPartTakenOverIsTheSameAfterwards(): void
    {
        $plans = array_values(Practice::plans());
        $editor = new Editor(Sample::catalogue());
        foreach ([Part::Light, Part::Care, Part::Water, Part::Feeding] as $part) {
            $edited = $editor->make($plans[0], [new TakePart($plans[7], $part->words(), $part->keys())]);
            self::assertNotContains($part, self::between($edited->plan, $plans[7])->parts());
            $others = array_filter(self::between($plans[0], $edited->plan)->parts(), static fn (Part $p): bool => $p !== $part);
            self::assertSame([], $others, "$part->value alone");
        }
        $same = $editor->make($plans[0], [new TakePart($plans[0], 'bed', Part::Bed->keys())]);
        self::assertSame([], $same->words);
    }

    public function testDoubtIsLargerThanASmallChangeAndSmallerThanALargeOne(): void
    {
        $plan = Sample::planted();
        $one = self::judged($plan);
        self::assertSame([], array_filter(Doubt::clear($one, self::judged($plan))), 'a tank does not differ from itself');
        $bright = Sample::edit($plan, ['light.hours' => '14', 'light.lumens' => '6000', 'plants.c1.pieces' => '5']);
        $clear = Doubt::clear($one, self::judged($bright));
        self::assertTrue($clear[MarginId::Planted->value]);
        self::assertTrue($clear[MarginId::Light->value]);
        // Eight of ten on one side, seven of ten not.
        $none = array_fill(0, 11, 0.0);
        self::assertTrue(Doubt::clear(self::tanks($none), self::tanks([-1.0, ...array_fill(0, 10, 1.0)]))['x']);
        self::assertFalse(Doubt::clear(self::tanks($none), self::tanks([-1.0, -1.0, ...array_fill(0, 9, 1.0)]))['x']);
    }

    /** @return list<string> */
    private static function places(Differences $differences): array
    {
        return array_map(static fn (Difference $d): string => $d->place, $differences->all);
    }

    /** @return array<int, array<string, array{float, bool}>> */
    private static function judged(Plan $plan): array
    {
        return array_map((new Band($plan, 8))->member(...), range(0, 7));
    }

    /**
     * @param array<float> $values
     *
     * @return array<int, array<string, array{float, bool}>>
     */
    private static function tanks(array $values): array
    {
        return array_map(static fn (float $v): array => ['x' => [$v, false]], array_values($values));
    }

    public function testALivedTankIsItsPlanAsItWent(): void
    {
        $plan = Sample::planted();
        $builder = new LogBuilder();
        $builder->add(40, LogBuilder::DONE, 'stock', 6.0, 'a1');
        $builder->add(60, LogBuilder::DONE, 'feed', 0.2, null);
        $lived = Side::lived($plan, $builder->log(), 90);
        $planned = Side::of($plan);
        self::assertSame(40, $lived->plan->groups[0]->day);
        self::assertEqualsWithDelta(6.0, $lived->trace->heads[41][0], 0.2);
        self::assertGreaterThan($planned->trace->mean('food', 70, 85), $lived->trace->mean('food', 70, 85));
        self::assertContains('animals.a1.day', array_map(
            static fn (Difference $d): string => $d->place,
            self::between($planned->plan, $lived->plan)->all,
        ));
        self::assertGreaterThan(0.0, $planned->cost);
        self::assertGreaterThan($plan->netWater(), $planned->kilograms);
        self::assertGreaterThan(0.0, $planned->minutes);
    }
}
