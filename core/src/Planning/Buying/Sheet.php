<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Nature\Bed\Laid;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\MaterialNeed;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;

/** The build sheet of a plan: what to buy, how it is mixed, what it costs and weighs. */
final readonly class Sheet
{
    /** Share that soils settle when they are wetted and stand. C (10–20 %). */
    public const SETTLES = 0.15;
    /** Share of sand and gravel that is rinsed away or spilt. C. */
    public const SPILLS = 0.05;
    /** Litres of a bucket that a hand can still stir. C. */
    public const BUCKET = 10.0;
    /** Pieces into which a root tab is broken, and cm² that each is to feed. C: broken into quarters and spread. */
    public const TAB_PIECES = 4;
    private const MOST_SUBSTITUTES = 2;

    /**
     * @param list<BuyLine>  $materials
     * @param list<MixTable> $mixes
     * @param float          $carry    kg of all bed materials, stones and wood that are carried in dry
     * @param float          $standing kg when full
     * @param float|null     $cost     of the bags whose price is known; null where none is
     * @param int            $unpriced materials to buy whose price is not known
     */
    private function __construct(
        public array $materials,
        public array $mixes,
        public float $carry,
        public float $standing,
        public ?float $cost,
        public int $unpriced,
    ) {
    }

    public static function of(Plan $plan, Catalogue $catalogue, Shop $shop = new Shop(), float $bucket = self::BUCKET): self
    {
        $quantities = Quantities::of($plan);
        $laid = [];
        $kinds = [];
        $wanted = [];
        foreach ($plan->bed->laid($plan->vessel) as $part) {
            foreach ($part->mix->shares as [$material, $share]) {
                $laid[$material->id] = ($laid[$material->id] ?? 0.0) + $part->litres * $share;
                $wanted[$material->id] = ($wanted[$material->id] ?? 0.0) + $part->litres * $share * self::allowance($part->role);
                $kinds[$material->id] = $material;
            }
        }
        $lines = [];
        foreach ($kinds as $id => $material) {
            $needed = $wanted[$id];
            $toBuy = max(0.0, $needed - ($shop->have[$id] ?? 0.0));
            $bag = $shop->bags[$id] ?? null;
            $bags = null === $bag ? null : (new MaterialNeed($material, $toBuy, 0.0))->bags($bag);
            $price = $shop->prices[$id] ?? null;
            $lines[] = new BuyLine(
                $material,
                $laid[$id],
                $needed,
                $toBuy,
                $needed * $material->density->value,
                $bags,
                null === $bags || null === $price ? null : $bags * $price,
                self::substitutes($material, $catalogue, array_keys($kinds)),
            );
        }
        $priced = array_filter($lines, static fn (BuyLine $l): bool => null !== $l->cost);
        $stones = array_sum(array_map(static fn ($p): float => $p->mass(), $plan->pieces));

        return new self(
            $lines,
            self::mixes($plan, $bucket),
            array_sum(array_map(static fn (BuyLine $l): float => $l->kilograms, $lines)) + $stones + $plan->vessel->mass(),
            $quantities->fullMass,
            [] === $priced ? null : array_sum(array_map(static fn (BuyLine $l): float => (float) $l->cost, $priced)),
            \count(array_filter($lines, static fn (BuyLine $l): bool => null === $l->cost && $l->toBuy > 0)),
        );
    }

    /** Litres to have for each litre laid: a layer's parts settle together. */
    private static function allowance(MaterialRole $role): float
    {
        return 1 + (MaterialRole::Cap === $role ? self::SPILLS : self::SETTLES);
    }

    /** @return list<MixTable> of layers that are mixed of several, what pots and zones take of the same mix among it */
    private static function mixes(Plan $plan, float $bucket): array
    {
        $parts = [];
        foreach ($plan->bed->laid($plan->vessel) as $part) {
            if (\count($part->mix->parts) > 1) {
                $parts[spl_object_id($part->mix)][] = $part;
            }
        }

        return array_values(array_map(static fn (array $same): MixTable => self::mix($plan, $same, $bucket), $parts));
    }

    /** @param non-empty-list<Laid> $same parts of one mix */
    private static function mix(Plan $plan, array $same, float $bucket): MixTable
    {
        $mix = $same[0]->mix;
        $litres = array_sum(array_map(static fn (Laid $l): float => $l->litres * self::allowance($l->role), $same));
        // Less than a bucketful is mixed at once.
        $bucket = min($bucket, $litres);
        $rows = [];
        foreach ($mix->shares as $n => [$material, $share]) {
            $rows[] = [
                'material' => $material,
                'parts' => $mix->parts[$n][1],
                'litres' => $litres * $share,
                'kilograms' => $litres * $share * $material->density->value,
                'inBucket' => $bucket * $share,
            ];
        }

        return new MixTable($plan->bed->layerName($same[0]->layer), $rows, $bucket, $litres / $bucket);
    }

    /**
     * Materials of the same role that hold most nearly as much nitrogen, soluble and bound.
     *
     * @param list<string> $taken ids that the plan has already
     *
     * @return list<Material>
     */
    private static function substitutes(Material $material, Catalogue $catalogue, array $taken): array
    {
        $far = static fn (Material $m): float => abs(log((1 + $m->flushNitrogen->value) / (1 + $material->flushNitrogen->value))) +
            abs(log((1 + $m->slowNitrogen->value) / (1 + $material->slowNitrogen->value)));
        $others = array_filter(
            $catalogue->materials,
            static fn (Material $m): bool => $m->role === $material->role && !\in_array($m->id, $taken, true),
        );
        usort($others, static fn (Material $a, Material $b): int => [$far($a), $a->id] <=> [$far($b), $b->id]);

        return \array_slice($others, 0, self::MOST_SUBSTITUTES);
    }
}
