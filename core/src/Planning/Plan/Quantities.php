<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Nature\Bed\Laid;
use Olvek\Core\Nature\Hardscape\Piece;

/** What a plan takes and weighs. */
final readonly class Quantities
{
    /** kg/L of fresh water at room warmth. P: Kell (1975), J. Chem. Eng. Data 20, 97–105: 0.9982 at 20 °C. */
    private const WATER_DENSITY = 0.998;
    /** kg above which the trade asks a structural professional. C. */
    public const ASK_ABOVE = 200.0;

    /**
     * @param list<MaterialNeed> $materials
     * @param float              $grossWater litres to the rim, empty
     * @param float              $netWater   litres of free water
     * @param float              $poreWater  litres that the wet bed holds
     * @param float              $bedMass    kg dry
     * @param float              $glassMass  kg
     * @param float              $fullMass   kg standing: vessel, bed, stones and wood, all water
     * @param float              $load       kg per m² of footprint
     */
    private function __construct(
        public array $materials,
        public float $soilVolume,
        public float $capVolume,
        public float $grossWater,
        public float $netWater,
        public float $poreWater,
        public float $bedMass,
        public float $glassMass,
        public float $fullMass,
        public float $load,
        public int $pieces,
    ) {
    }

    public static function of(Plan $plan): self
    {
        $laid = $plan->bed->laid($plan->vessel);
        $needs = self::needs($laid);
        $pores = array_sum(array_map(static fn (Laid $l): float => $l->mix->porosity() * $l->litres, $laid));
        $dry = array_sum(array_map(static fn (MaterialNeed $n): float => $n->kilograms, $needs));
        $stones = array_sum(array_map(static fn (Piece $p): float => $p->mass(), $plan->pieces));
        $full = $plan->vessel->mass() + $dry + $stones + ($plan->netWater() + $pores) * self::WATER_DENSITY;

        return new self(
            $needs,
            $plan->bed->soilVolume($plan->vessel),
            $plan->bed->capVolume($plan->vessel),
            $plan->vessel->grossVolume(),
            $plan->netWater(),
            $pores,
            $dry,
            $plan->vessel->mass(),
            $full,
            $full / $plan->vessel->footprint(),
            array_sum(array_map(static fn (Clump $c): int => $c->pieces, $plan->clumps)),
        );
    }

    /**
     * What of each material it takes, in the order in which it is laid.
     *
     * @param list<Laid> $laid
     *
     * @return list<MaterialNeed>
     */
    private static function needs(array $laid): array
    {
        $litres = $kinds = [];
        foreach ($laid as $part) {
            foreach ($part->mix->shares as [$material, $share]) {
                $kinds[$material->id] = $material;
                $litres[$material->id] = ($litres[$material->id] ?? 0.0) + $part->litres * $share;
            }
        }

        return array_values(
            array_map(
                static fn (string $id): MaterialNeed => new MaterialNeed(
                    $kinds[$id],
                    $litres[$id],
                    $litres[$id] * $kinds[$id]->density->value,
                ),
                array_keys($kinds),
            ),
        );
    }
}
