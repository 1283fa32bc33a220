<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Remedy;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every remedy can be made on an ordinary plan, changes what it says, and is not offered where it means nothing. */
final class RemedyTest extends TestCase
{
    private static function ordinary(): Plan
    {
        return Sample::edit(Sample::planted(), ['plants.add.salvinia-natans' => '3']);
    }

    /** @return iterable<string, array{Remedy, \Closure(Plan): (float|string), string}> the remedy, what it moves, and which way */
    public static function remedies(): iterable
    {
        $pieces = static fn (Plan $p): float => (float) $p->clumps[0]->pieces;
        $kinds = static fn (Plan $p): float => (float) \count($p->clumps);
        $food = static fn (Plan $p): float => $p->feed->grams;
        $animals = static fn (Plan $p): float => (float) $p->groups[0]->count;
        $soil = static fn (Plan $p): float => $p->bed->soil->front ?? 0.0;
        $doses = static fn (Plan $p): float => (float) \count($p->bed->doses);
        $moves = [
            [Remedy::MoreStems, $pieces, 'up'],
            [Remedy::FastStems, $kinds, 'up'],
            [Remedy::Floaters, static fn (Plan $p): float => (float) $p->clumps[2]->pieces, 'up'],
            [Remedy::NoFloaters, $kinds, 'down'],
            [Remedy::HousePlants, $kinds, 'up'],
            [Remedy::LessFood, $food, 'down'],
            [Remedy::MoreFood, $food, 'up'],
            [Remedy::FewerAnimals, $animals, 'down'],
            [Remedy::LaterAnimals, static fn (Plan $p): float => (float) $p->groups[0]->day, 'up'],
            [Remedy::LaterFood, static fn (Plan $p): float => (float) $p->feedFrom, 'up'],
            [Remedy::DeeperCap, static fn (Plan $p): float => $p->bed->cap->back ?? 0.0, 'up'],
            [Remedy::ThinnerSoil, $soil, 'down'],
            [Remedy::MoreSoil, $soil, 'up'],
            [Remedy::LongerLight, static fn (Plan $p): float => $p->lamp->hours, 'up'],
            [Remedy::ShorterLight, static fn (Plan $p): float => $p->lamp->hours, 'down'],
            [Remedy::StrongerLamp, static fn (Plan $p): float => $p->lamp->lumens, 'up'],
            [Remedy::WeakerLamp, static fn (Plan $p): float => $p->lamp->lumens, 'down'],
            [Remedy::Sponge, static fn (Plan $p): float => (float) (Inoculum::Sponge === $p->inoculum), 'up'],
            [Remedy::WaterChanges, static fn (Plan $p): float => $p->care->changeShare, 'up'],
            [Remedy::Lid, static fn (Plan $p): float => (float) $p->site->lid, 'up'],
            [Remedy::SoftTopUp, static fn (Plan $p): float => ($p->topUp ?? $p->water)->gh, 'down'],
            [Remedy::MixedWater, static fn (Plan $p): float => $p->water->gh, 'down'],
            [Remedy::Warmer, static fn (Plan $p): float => $p->coldest(), 'up'],
            [Remedy::Cooler, static fn (Plan $p): float => $p->site->temperature, 'down'],
            [Remedy::Limestone, $doses, 'up'],
            [Remedy::RootTabs, $doses, 'up'],
            [Remedy::Grazers, static fn (Plan $p): float => (float) \count($p->groups), 'up'],
            [Remedy::AirStone, static fn (Plan $p): float => (float) $p->equipment->moves(), 'up'],
        ];
        foreach ($moves as [$remedy, $what, $way]) {
            yield $remedy->value => [$remedy, $what, $way];
        }
    }

    /** @param \Closure(Plan): float $what */
    #[DataProvider('remedies')]
    public function testItChangesWhatItSays(Remedy $remedy, \Closure $what, string $way): void
    {
        $plan = self::ordinary();
        $change = $remedy->on($plan);
        self::assertNotNull($change);
        $then = (new Editor(Sample::catalogue()))->make($plan, $change[1])->plan;
        self::assertSame('up' === $way ? 1 : -1, $what($then) <=> $what($plan), $change[0]);
    }

    public function testEveryRemedyIsChecked(): void
    {
        $checked = array_keys(iterator_to_array(self::remedies()));
        // Of its own: the group must be too small first.
        self::assertEqualsCanonicalizing(array_map(static fn (Remedy $r): string => $r->value, Remedy::cases()), [
            ...$checked,
            Remedy::LargerGroup->value,
        ]);
        $lonely = Sample::edit(Sample::planted(), ['animals.a1.count' => '2']);
        self::assertNotNull(Remedy::LargerGroup->on($lonely));
        self::assertNull(Remedy::LargerGroup->on(Sample::planted()));
    }

    public function testEveryMarginHasARemedyAndEveryRemedyAMargin(): void
    {
        $used = [];
        foreach (Judge::judge(Sample::planted())->margins as $margin) {
            self::assertNotSame([], $margin->id->about()->remedies, $margin->name);
            $used = [...$used, ...array_column($margin->id->about()->remedies, 'value')];
        }
        self::assertEqualsCanonicalizing(array_column(Remedy::cases(), 'value'), array_values(array_unique($used)));
    }

    public function testNothingIsOfferedThatMeansNothing(): void
    {
        $bare = Plan::starting('Bare', Sample::catalogue());
        foreach (
            [
                Remedy::MoreStems,
                Remedy::NoFloaters,
                Remedy::LessFood,
                Remedy::MoreFood,
                Remedy::FewerAnimals,
                Remedy::LargerGroup,
                Remedy::LaterAnimals,
                Remedy::LaterFood,
            ] as $remedy
        ) {
            self::assertNull($remedy->on($bare), $remedy->value);
        }
        $sealed = Sample::edit($bare, ['site.sealed' => 'yes']);
        foreach ([Remedy::WaterChanges, Remedy::Lid, Remedy::SoftTopUp] as $remedy) {
            self::assertNull($remedy->on($sealed), $remedy->value);
        }
        $dark = Sample::edit($bare, ['light.lumens' => '0', 'light.hours' => '4']);
        self::assertNull(Remedy::WeakerLamp->on($dark));
        self::assertNull(Remedy::ShorterLight->on($dark));
    }

    public function testWhatIsThereIsMadeMoreOf(): void
    {
        $plan = Sample::edit(self::ordinary(), ['bed.doses.add' => 'root-tab']);
        $grams = $plan->bed->doses[0]->grams;
        $editor = new Editor(Sample::catalogue());
        $then = $editor->make($plan, Remedy::RootTabs->on($plan)[1] ?? [])->plan;
        self::assertCount(1, $then->bed->doses);
        self::assertEqualsWithDelta(2 * $grams, $then->bed->doses[0]->grams, 0.01);
        self::assertCount(3, $editor->make($plan, Remedy::Floaters->on($plan)[1] ?? [])->plan->clumps);
    }
}
