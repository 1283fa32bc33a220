<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Suitability;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Suitability\AnimalSuit;
use Olvek\Core\Judgement\Suitability\Need;
use Olvek\Core\Judgement\Suitability\PlantSuit;
use Olvek\Core\Judgement\Suitability\Reason;
use Olvek\Core\Judgement\Suitability\Suitability;
use Olvek\Core\Judgement\Suitability\TankOffer;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Whether a kind would live in a tank agrees with what the run says once it is in it. */
final class SuitTest extends TestCase
{
    public function testPlantsThatWouldDwindleAreTheOnesThatTheRunFindsUnlit(): void
    {
        $dark = Sample::edit(Sample::planted(), ['light.lumens' => '260']);
        $judged = Judge::judge($dark);
        $suit = new PlantSuit($dark, TankOffer::of($judged->trace));
        $shade = $suit->of(Sample::catalogue()->plants['cryptocoryne-affinis']);
        $sun = $suit->of(Sample::catalogue()->plants['micranthemum-callitrichoides']);

        self::assertGreaterThan($sun->light, $shade->light);
        self::assertContains(Need::Light, self::needs($sun, MarginState::Fails));
        $with = Sample::edit($dark, ['plants.add' => 'micranthemum-callitrichoides']);
        self::assertSame(MarginState::Fails, Judge::judge($with)->margin(MarginId::Light)->state);
    }

    public function testLightDependsOnThePlace(): void
    {
        $plan = Sample::edit(Sample::planted(), ['plants.c1.place' => '20 %', 'plants.c1.row' => '50 %', 'plants.c1.pieces' => '90']);
        $suit = new PlantSuit($plan, TankOffer::of(Judge::judge($plan)->trace));
        $kind = Sample::catalogue()->plants['marsilea-hirsuta'];

        self::assertLessThan($suit->of($kind, 0.85, 0.5)->light, $suit->of($kind, 0.2, 0.5)->light, 'under the stems it is darker');
    }

    public function testWhatAPlantsRoleAsksOfTheTank(): void
    {
        $lidded = Sample::edit(Sample::planted(), ['site.lid' => 'yes', 'bed.soil.material' => 'none']);
        $suit = self::plants($lidded);

        self::assertContains(Need::Place, self::needs($suit->of(Sample::catalogue()->plants['epipremnum-aureum']), MarginState::Fails));
        self::assertContains(Need::Roots, self::needs($suit->of(Sample::catalogue()->plants['cryptocoryne-wendtii']), MarginState::Tight));
        self::assertContains(
            Need::Warmth,
            self::needs($suit->of(Sample::catalogue()->plants['fontinalis-antipyretica']), MarginState::Fails),
        );
        self::assertNull($suit->of(Sample::catalogue()->plants['anubias-nana'])->light, 'what holds on in any light is not asked');
    }

    public function testRoomCompanyAndWaterOfAnimals(): void
    {
        $plan = Sample::planted();
        $suit = self::animals($plan);
        $of = static fn (string $id): Suitability => $suit->of(Sample::catalogue()->animals[$id]);

        self::assertContains(Need::Room, self::needs($of('carassius-auratus'), MarginState::Fails));
        self::assertSame(0, $of('carassius-auratus')->most);
        self::assertContains(Need::Hardness, self::needs($of('parosphromenus-linkei'), MarginState::Fails));
        self::assertSame(MarginState::Holds, $of('planorbella-duryi')->state);
        self::assertGreaterThan(10, $of('neocaridina-davidi')->most);
        $shrimp = Sample::edit($plan, ['animals.add' => 'neocaridina-davidi']);
        $puffer = self::animals($shrimp)->of(Sample::catalogue()->animals['carinotetraodon-travancoricus']);
        self::assertContains('suits.hunts(other: Cherry shrimp)', array_map(Said::plain(...), $puffer->fights));
        self::assertSame(MarginState::Fails, $puffer->state);
    }

    public function testRoomIsEnoughExactlyFromTheKindsSmallestTankOn(): void
    {
        // 60 L are wanted; nobody tells a tank closer than to the hundredth.
        foreach (['35.6 cm' => MarginState::Fails, '36 cm' => MarginState::Holds] as $height => $state) {
            $plan = Sample::edit(Sample::planted(), ['vessel.height' => $height]);
            $room = self::needs(self::animals($plan)->of(Sample::catalogue()->animals['xiphophorus-maculatus']), MarginState::Fails);
            self::assertSame(MarginState::Fails === $state, \in_array(Need::Room, $room, true), $height);
        }
    }

    public function testNoFishInASealedVessel(): void
    {
        $sealed = Sample::edit(Sample::planted(), ['feeding.grams' => '0', 'site.sealed' => 'yes']);
        $fish = self::animals($sealed)->of(Sample::catalogue()->animals['heterandria-formosa']);

        self::assertContains(Need::Place, self::needs($fish, MarginState::Fails));
        self::assertSame(0, $fish->most);
    }

    /** @return list<Need> */
    private static function needs(Suitability $suits, MarginState $state): array
    {
        return array_map(
            static fn (Reason $r): Need => $r->need,
            array_values(array_filter($suits->reasons, static fn (Reason $r): bool => $r->state === $state)),
        );
    }

    private static function plants(Plan $plan): PlantSuit
    {
        return new PlantSuit($plan, TankOffer::of(Judge::judge($plan)->trace));
    }

    private static function animals(Plan $plan): AnimalSuit
    {
        $judged = Judge::judge($plan);

        return new AnimalSuit($plan, TankOffer::of($judged->trace), $judged->margin(MarginId::Stock));
    }
}
