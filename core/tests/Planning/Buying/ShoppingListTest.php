<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Buying;

use Olvek\Core\Planning\Buying\Gas;
use Olvek\Core\Planning\Buying\Salts;
use Olvek\Core\Planning\Buying\Sheet;
use Olvek\Core\Planning\Buying\Shop;
use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Plan\Care;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** All that is bought beside the bed's materials; sums worked by hand beside them. */
final class ShoppingListTest extends TestCase
{
    /** @return array<string, Want> */
    private static function wants(Plan $plan): array
    {
        return array_column(ShoppingList::of($plan), null, 'id');
    }

    /** @return iterable<string, array{string, array<string, string>}> a line, and the edits that ask for it */
    public static function lines(): iterable
    {
        yield 'hill lava' => ['kit.core', ['bed.core' => '1 L']];
        yield 'mesh for it' => ['kit.mesh', ['bed.core' => '1 L']];
        yield 'a plate' => ['kit.plate', ['bed.plate' => '2 cm']];
        yield 'pots' => ['kit.pots', ['bed.pots' => '2']];
        yield 'wadding' => ['kit.wadding', ['zones.add' => 'foreground']];
        yield 'a wall' => ['kit.wall', ['zones.add' => 'terrace']];
        yield 'bottled bacteria' => ['kit.bacteria', ['start.way' => 'bottled']];
        yield 'ammonium chloride' => ['kit.ammonium', ['start.way' => 'dosing']];
        yield 'a sponge from a running tank' => ['kit.inoculum', ['start.way' => 'borrowed']];
        yield 'a heater' => ['kit.heater', ['equipment.heating' => 'tank']];
        yield 'a heater that animals ask for' => ['kit.heater', ['site.temperature' => '14 °C']];
        yield 'a filter' => ['kit.device', ['equipment.device' => 'internal-filter']];
        yield 'its foam' => ['kit.media', ['equipment.device' => 'internal-filter']];
        yield 'air' => ['kit.air', ['equipment.device' => 'air-stone']];
        yield 'gas' => ['kit.gas', ['care.gas' => '15']];
        yield 'yeast' => ['kit.yeast', ['care.trickle' => '2000']];
        yield 'fertiliser' => ['fertiliser', ['care.nitrogen' => '1']];
        yield 'a second lamp' => ['kit.second-lamp', ['light.secondWatts' => '8']];
        yield 'a night light' => ['kit.night-light', ['light.night' => '10']];
        yield 'a background' => ['kit.background', ['stand.background' => 'black']];
        yield 'a shade bar' => ['kit.shade-bar', ['stand.shadeBar' => 'yes']];
        yield 'a lid' => ['kit.lid', ['site.lid' => 'yes']];
        yield 'glue' => ['fixing.glue', ['plants.add' => 'anubias-nana', 'plants.c1.seat' => 'glued']];
        yield 'a grid' => ['kit.grid', ['plants.c1.seat' => 'grid']];
        yield 'soft top-up' => ['kit.top-up', ['topUp.kind' => 'rain']];
        yield 'a quarantine' => ['kit.quarantine', ['animals.a1.quarantine' => '21']];
    }

    /** @param array<string, string> $edits */
    #[DataProvider('lines')]
    public function testAskedForWhereItIsNeeded(string $id, array $edits): void
    {
        $plain = Sample::edit(Sample::planted(), ['site.temperature' => '23 °C']);
        self::assertArrayNotHasKey($id, self::wants($plain));
        self::assertArrayHasKey($id, self::wants(Sample::edit($plain, $edits)));
    }

    public function testAnimalsPlantsFoodAndVesselAreOnIt(): void
    {
        $wants = self::wants(Sample::planted());
        foreach (['vessel', 'plant.c1', 'plant.c2', 'animal.a1', 'food', 'water', 'kit.treatment', 'kit.tests', 'kit.lamp'] as $id) {
            self::assertArrayHasKey($id, $wants);
        }
        // 0.05 g a day for 91 days are 4.55 g.
        self::assertSame('buy.food(food: buy.dry-food, grams: 5)', Said::plain($wants['food']->message));
    }

    /** Free water and what the bed drinks: soil of 2.5 cm, 4.23 L with 55 % of pores, and 5.93 L of sand with 40 %: 2.33 + 2.37 L more. */
    public function testWaterToPrepare(): void
    {
        $plan = Sample::planted();
        self::assertEqualsWithDelta(4.70, ShoppingList::waterToPrepare($plan) - $plan->netWater(), 0.02);
        self::assertEqualsWithDelta(Quantities::of($plan)->poreWater, ShoppingList::waterToPrepare($plan) - $plan->netWater(), 1e-9);
        $spring = Sample::edit($plan, ['water.kind' => 'running-tank']);
        self::assertArrayNotHasKey('kit.treatment', self::wants($spring), 'water of a running tank has no chlorine');
    }

    /**
     * 1 mg N, 0.1 mg P, 5 mg K, 0.1 mg Fe per litre in 50 L: 50 mg N as 361 mg of nitrate, which brings 139.6 mg K; 5 mg P as 22.0 mg of
     * phosphate, which brings 6.3 mg; the missing 104.1 mg K as 232.0 mg of sulphate; 5 mg Fe as 50 mg of chelate. By hand from IUPAC's
     * weights.
     */
    public function testAWeekOfFertiliser(): void
    {
        $salts = Salts::of(new Care(0.0, 0, nitrogen: 1.0, phosphorus: 0.1, potassium: 5.0, iron: 0.1), 50.0);
        self::assertEqualsWithDelta(0.3609, $salts->nitrate, 1e-4);
        self::assertEqualsWithDelta(0.02197, $salts->phosphate, 1e-5);
        self::assertEqualsWithDelta(0.2320, $salts->sulphate, 1e-4);
        self::assertEqualsWithDelta(0.05, $salts->chelate, 1e-9);
        self::assertSame(0.0, $salts->over);
        self::assertCount(4, $salts->grams());
        // Published check: potassium nitrate is 38.67 % potassium and 13.85 % nitrogen (CRC Handbook; M for the page).
        self::assertEqualsWithDelta(13.85, 100 * 0.05 / $salts->nitrate, 0.01);
        $much = Salts::of(new Care(0.0, 0, nitrogen: 2.0, potassium: 1.0), 50.0);
        self::assertSame(0.0, $much->sulphate);
        self::assertEqualsWithDelta(2 * 39.098 / 14.007 - 1, $much->over, 1e-6);
    }

    /**
     * 0.1693 m² still, 15 mg/L for 8 h: 0.5 × 0.94 m/d × 0.1693 × 14.2 g/m³ / 3 = 0.377 g lost, half of what bubbles dissolves: 0.753 g;
     * 0.183 mg a bubble in 480 min: 8.6 a minute.
     */
    public function testAHeldConcentration(): void
    {
        $plan = Sample::edit(Sample::planted(), ['care.gas' => '15', 'light.hours' => '8']);
        self::assertEqualsWithDelta(0.753, Gas::daily($plan), 0.005);
        self::assertEqualsWithDelta(8.57, Gas::bubbles($plan), 0.06);
        self::assertSame(0.0, Gas::daily(Sample::planted()));
    }

    /** 2 g a day for 21 days are 42 g of gas: / 0.4886 / 0.8 = 107 g of sugar. C: a cup of sugar, some 100 to 200 g, to a bottle. */
    public function testAYeastBottle(): void
    {
        self::assertEqualsWithDelta(107.4, Gas::sugar(2000.0), 0.2);
    }

    public function testOneTotal(): void
    {
        $plan = Sample::planted();
        $shop = new Shop(['coarse-sand' => 2.5], ['coarse-sand' => 4.0], [], ['vessel' => 30.0, 'plant.c1' => 8.5]);
        $sheet = Sheet::of($plan, Sample::catalogue(), $shop);
        $wants = ShoppingList::of($plan, $shop);
        [$cost, $unpriced] = ShoppingList::total($sheet, $wants);
        self::assertEqualsWithDelta(30.0 + 8.5 + 3 * 4.0, $cost, 1e-9, '6.22 L of sand are three bags');
        $bought = \count(array_filter($wants, static fn (Want $w): bool => $w->bought));
        self::assertSame(1 + $bought - 2, $unpriced, 'soil, and all but two');
        $bare = ShoppingList::of($plan);
        self::assertSame([null, 2 + $bought], ShoppingList::total(Sheet::of($plan, Sample::catalogue()), $bare));
    }

    public function testWhatComesFromAnotherTankIsNotBought(): void
    {
        $plan = Sample::edit(Sample::planted(), ['plants.c1.source' => 'own-tank', 'animals.a1.source' => 'own-tank']);
        $wants = self::wants($plan);
        self::assertFalse($wants['plant.c1']->bought);
        self::assertSame('own', $wants['animal.a1']->message->values['from']);
        self::assertTrue($wants['plant.c2']->bought);
    }
}
