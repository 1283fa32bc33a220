<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Light\Canopy;
use Olvek\Core\Light\WaterColumn;
use Olvek\Core\Plan\Clump;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plant\Growth;
use Olvek\Core\Run\Snapshot;

/**
 * The light that reaches the bed and each clump on a day: floaters take first, then the tallest.
 * Leaf area is spread over the whole floor, so a clump is shaded by the mean of what stands above it.
 */
final readonly class ClumpLight
{
    /**
     * @param array<string, float> $clumps PPFD within each clump by id, µmol m⁻² s⁻¹
     * @param float                $surface PPFD on the water
     * @param float                $bed     PPFD on the bed, below all plants
     * @param float                $bare    PPFD on the bed if no plant stood above it
     * @param float                $cover   share of the surface under floaters, 0–1
     */
    private function __construct(
        public array $clumps,
        public float $surface,
        public float $bed,
        public float $bare,
        public float $cover,
    ) {
    }

    /** As planted, less what melts by a day. */
    public static function onDay(Plan $plan, float $day): self
    {
        $masses = [];
        foreach ($plan->clumps as $clump) {
            $masses[$clump->id] = $clump->biomass() * Growth::shareAlive($clump->kind, $day);
        }

        return self::fall($plan, $masses, $plan->lamp->atSurface($plan->surface()), WaterColumn::ATTENUATION);
    }

    /** As a run has it: the lamp's PPFD; where the sun shines too, mol m⁻² of the whole day instead. */
    public static function seen(Plan $plan, Snapshot $snapshot): self
    {
        $masses = array_combine(array_map(static fn (Clump $c): string => $c->id, $plan->clumps), $snapshot->clumps);

        $surface = $plan->site->daylight()->any() ? $snapshot->light : $plan->lamp->atSurface($plan->surface()) * $snapshot->lampShare;

        return self::fall($plan, $masses, $surface, WaterColumn::ATTENUATION + WaterColumn::TANNIN * $snapshot->tannin + WaterColumn::GREEN * $snapshot->green);
    }

    /** @param array<string, float> $masses g dry by clump */
    private static function fall(Plan $plan, array $masses, float $surface, float $attenuation): self
    {
        $area = $plan->surface();
        $alive = static fn (Clump $c): float => $masses[$c->id];
        $mat = 0.0;
        $light = [];
        $standing = [];
        foreach ($plan->clumps as $clump) {
            if ($clump->kind->role->coversSurface()) {
                $mat += $alive($clump) / $clump->kind->densest->value;
            }
            if ($clump->kind->role->hasLeavesInAir()) {
                $light[$clump->id] = $surface;
            } else {
                $standing[] = $clump;
            }
        }
        $cover = min(1.0, $mat / $area);
        $bedTop = $plan->bed->meanDepth();
        $tops = array_map(static fn (Clump $c): float => self::top($c, $plan), $standing);
        array_multisort($tops, \SORT_DESC, \SORT_NUMERIC, $standing);
        $down = $surface * Canopy::underFloaters($cover);
        foreach ($standing as $index => $clump) {
            $leaves = Canopy::LEAF_AREA * $alive($clump) / $area;
            $light[$clump->id] = Canopy::meanWithin($down * WaterColumn::transmission($plan->waterLine - $tops[$index], $attenuation), $leaves);
            $down *= Canopy::transmission($leaves);
        }
        $water = WaterColumn::transmission($plan->waterLine - $bedTop, $attenuation);

        return new self($light, $surface, $down * $water, $surface * $water, $cover);
    }

    /** m above the inside bottom that a clump's leaves reach. */
    public static function top(Clump $clump, Plan $plan): float
    {
        return min($plan->waterLine, $plan->bed->meanDepth() + $clump->kind->height->value);
    }
}
