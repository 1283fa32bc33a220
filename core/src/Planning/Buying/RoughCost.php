<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Basis\Unit\Estimate;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Device;
use Olvek\Core\Planning\Plan\HeatLoss;
use Olvek\Core\Planning\Plan\Plan;

/**
 * About what a plan costs to buy, to compare plans by before anybody has asked a shop: in euros or dollars of the twenties, new, in a town.
 * All J, good to a factor of one and a half either way; prices that a keeper types on Build are what counts.
 */
final class RoughCost
{
    private const SPREAD = 1.5;
    /** Of a glass vessel: by the litre, and at least; outdoors a used barrel or tub by the litre. */
    private const GLASS_A_LITRE = 0.9;
    private const LEAST_GLASS = 12.0;
    private const TUB_A_LITRE = 0.3;
    private const LID = 12.0;
    private const LUMENS_A_COIN = 60.0;
    private const LEAST_LAMP = 12.0;
    private const TIMER = 8.0;
    private const SOIL_A_LITRE = 0.5;
    private const SAND_A_LITRE = 1.0;
    private const STONE_A_KILOGRAM = 2.5;
    private const WOOD_A_LITRE = 9.0;
    private const HEATER = 22.0;
    private const HEATER_A_WATT = 0.1;
    private const DEVICE = 18.0;
    private const GAS = 130.0;
    private const TESTS = 25.0;
    private const TREATMENT = 6.0;
    private const FOOD = 6.0;
    /** Of one piece. Stems come by the bunch of five or six. */
    private const PIECES = [
        PlantRole::FastStem->value => 0.6,
        PlantRole::SlowStem->value => 0.8,
        PlantRole::FloatingStem->value => 0.6,
        PlantRole::Rosette->value => 4.0,
        PlantRole::Runner->value => 1.0,
        PlantRole::Carpet->value => 0.6,
        PlantRole::Epiphyte->value => 6.0,
        PlantRole::Moss->value => 6.0,
        PlantRole::Floater->value => 0.4,
        PlantRole::Lily->value => 9.0,
        PlantRole::Marsh->value => 5.0,
        PlantRole::HousePlant->value => 5.0,
    ];
    /** Most that one clump costs: cuttings are passed on by the bagful. */
    private const MOST_A_CLUMP = 30.0;
    private const FISH = 3.5;
    private const SHRIMP = 2.5;
    private const OTHER_ANIMAL = 1.0;
    /** Heads of a colony that are paid for: the rest comes by itself. */
    private const SMALL_FRY = 10;

    /**
     * @param bool $hasVessel the vessel is there already
     * @param bool $hasLamp   so is the lamp
     */
    public static function of(Plan $plan, bool $hasVessel = false, bool $hasLamp = false): Estimate
    {
        $cost = ($hasVessel ? 0.0 : self::vessel($plan))
            + ($hasLamp ? 0.0 : self::lamp($plan))
            + ($plan->site->lid ? self::LID : 0.0)
            + self::bed($plan)
            + self::plants($plan)
            + self::animals($plan)
            + self::technique($plan);

        return Estimate::of(round($cost), Provenance::Judgement, round($cost / self::SPREAD), round($cost * self::SPREAD));
    }

    private static function vessel(Plan $plan): float
    {
        $litres = $plan->vessel->grossVolume();

        return ($plan->vessel->shape()->isOutdoor() ? self::TUB_A_LITRE * $litres : max(self::LEAST_GLASS, self::GLASS_A_LITRE * $litres))
            * ($plan->stand->secondHand ? 0.5 : 1.0);
    }

    private static function lamp(Plan $plan): float
    {
        return $plan->lamp->lumens > 0 ? max(self::LEAST_LAMP, $plan->lamp->lumens / self::LUMENS_A_COIN) + self::TIMER : 0.0;
    }

    private static function bed(Plan $plan): float
    {
        $cost = 0.0;
        foreach ($plan->bed->laid($plan->vessel) as $part) {
            $cost += $part->litres * (MaterialRole::Cap === $part->role ? self::SAND_A_LITRE : self::SOIL_A_LITRE);
        }
        foreach ($plan->pieces as $piece) {
            $cost += !$piece->source->isBought() ? 0.0 : ($piece->kind->wood
                ? self::WOOD_A_LITRE * $piece->litres
                : self::STONE_A_KILOGRAM * $piece->mass());
        }

        return $cost;
    }

    private static function plants(Plan $plan): float
    {
        return array_sum(array_map(
            static fn (Clump $c): float => $c->source->isBought()
                ? min(max(self::MOST_A_CLUMP, self::PIECES[$c->kind->role->value]), $c->pieces * self::PIECES[$c->kind->role->value])
                : 0.0,
            $plan->clumps,
        ));
    }

    private static function animals(Plan $plan): float
    {
        $cost = [] === $plan->groups || $plan->feed->grams <= 0 ? 0.0 : self::FOOD;
        foreach ($plan->groups as $group) {
            $cost += !$group->source->isBought() ? 0.0 : match ($group->kind->shape) {
                AnimalShape::Fish => self::FISH * $group->count,
                AnimalShape::Shrimp => self::SHRIMP * min(self::SMALL_FRY, $group->count),
                default => self::OTHER_ANIMAL * min(self::SMALL_FRY, $group->count),
            };
        }

        return $cost;
    }

    private static function technique(Plan $plan): float
    {
        $heater = $plan->equipment->watts > 0
            ? $plan->equipment->watts
            : HeatLoss::sold(HeatLoss::watts($plan, $plan->equipment->target, $plan->site->temperature));

        return ($plan->equipment->hasHeater() ? self::HEATER + self::HEATER_A_WATT * $heater : 0.0)
            + (Device::None === $plan->equipment->device ? 0.0 : self::DEVICE)
            + ($plan->care->gas > 0 ? self::GAS : 0.0)
            + ($plan->site->sealed ? 0.0 : self::TESTS + self::TREATMENT);
    }
}
