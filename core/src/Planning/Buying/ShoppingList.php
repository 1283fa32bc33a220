<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Planning\Buying\Wants\BedWants;
use Olvek\Core\Planning\Buying\Wants\EquipmentWants;
use Olvek\Core\Planning\Buying\Wants\HardscapeWants;
use Olvek\Core\Planning\Buying\Wants\LightWants;
use Olvek\Core\Planning\Buying\Wants\LivingWants;
use Olvek\Core\Planning\Buying\Wants\VesselWants;
use Olvek\Core\Planning\Buying\Wants\WaterWants;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;

/** Everything that a plan takes, beside the materials of its bed (Sheet): from the vessel to the tweezers. C. */
final class ShoppingList
{
    /** Days for which food and fertiliser are bought at first: a quarter of a year. J. */
    public const DAYS = 91;
    /** L of the smallest vessel for a quarantine. C. */
    public const APART = 10.0;

    /** @return list<Want> by aisle */
    public static function of(Plan $plan, Shop $shop = new Shop()): array
    {
        $wants = array_filter([
            ...VesselWants::of($plan),
            ...BedWants::of($plan),
            ...HardscapeWants::of($plan),
            ...LivingWants::plants($plan),
            ...LivingWants::animals($plan),
            ...LightWants::of($plan),
            ...EquipmentWants::of($plan),
            ...WaterWants::water($plan),
            ...WaterWants::start($plan),
            ...WaterWants::tools($plan),
        ]);

        return array_values(array_map(static fn (Want $want): Want => $want->at($shop->costs[$want->id] ?? null), $wants));
    }

    /**
     * What has a price, in all, and how many lines that are bought have none yet.
     *
     * @param list<Want> $wants
     *
     * @return array{float|null, int} null where nothing has one
     */
    public static function total(Sheet $sheet, array $wants): array
    {
        $priced = array_filter($wants, static fn (Want $w): bool => null !== $w->cost);
        $cost = array_sum(array_map(static fn (Want $w): float => (float) $w->cost, $priced)) + ($sheet->cost ?? 0.0);

        return [
            [] === $priced && null === $sheet->cost ? null : $cost,
            $sheet->unpriced + \count(array_filter($wants, static fn (Want $w): bool => $w->bought && null === $w->cost)),
        ];
    }

    /** Litres of water to have ready: what is free, and what the bed's pores drink. */
    public static function waterToPrepare(Plan $plan): float
    {
        $quantities = Quantities::of($plan);

        return $quantities->netWater + $quantities->poreWater;
    }
}
