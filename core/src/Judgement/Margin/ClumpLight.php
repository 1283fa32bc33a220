<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Nature\Light\Canopy;
use Olvek\Core\Nature\Light\Shade;
use Olvek\Core\Nature\Light\WaterColumn;
use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Nature\Plant\Spread;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;

/**
 * The light that reaches the bed and each clump on a day: floaters take first, then the tallest.
 * Plants are discs of leaf at their places, as in the run: a clump is shaded by what stands over it.
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
    private function __construct(public array $clumps, public float $surface, public float $bed, public float $bare, public float $cover)
    {
    }

    /** As planted, less what melts by a day. */
    public static function onDay(Plan $plan, float $day): self
    {
        $masses = [];
        foreach ($plan->clumps as $clump) {
            $masses[$clump->id] = $clump->biomass() * Growth::shareAlive($clump->kind, $day, $clump->grown->melt());
        }

        return self::fall($plan, $masses, $plan->lamp->atSurface($plan->surface()), WaterColumn::ATTENUATION);
    }

    /** As a run has it: the lamp's PPFD; where the sun shines too, mol m⁻² of the whole day instead. */
    public static function seen(Plan $plan, Snapshot $snapshot): self
    {
        $masses = array_combine(array_map(static fn (Clump $c): string => $c->id, $plan->clumps), $snapshot->clumps);

        $surface = $plan->site->daylight()->any() ? $snapshot->light : $plan->lamp->atSurface($plan->surface()) * $snapshot->lampShare;

        return self::fall(
            $plan,
            $masses,
            $surface,
            WaterColumn::ATTENUATION + WaterColumn::TANNIN * $snapshot->tannin + WaterColumn::GREEN * $snapshot->green,
        );
    }

    /** @param array<string, float> $masses g dry by clump */
    private static function fall(Plan $plan, array $masses, float $surface, float $attenuation): self
    {
        $area = $plan->surface();
        $mat = 0.0;
        $light = $places = $areas = $leaves = [];
        $tops = array_map(static fn (Clump $c): float => $plan->top($c), $plan->clumps);
        $order = array_keys($plan->clumps);
        usort($order, static fn (int $a, int $b): int => [$tops[$b], $a] <=> [$tops[$a], $b]);
        foreach ($order as $i) {
            $clump = $plan->clumps[$i];
            if ($clump->kind->role->coversSurface()) {
                $mat += $masses[$clump->id] / $clump->kind->mat->value;
                $light[$clump->id] = $surface;
                continue;
            }
            $places[$i] = [$clump->place * $plan->vessel->length(), $clump->row * $plan->vessel->width()];
            $areas[$i] = Spread::area($clump->area(), $masses[$clump->id] / max(1e-9, $clump->biomass()));
            $leaves[$i] = Canopy::LEAF_AREA * $masses[$clump->id] * $clump->overWater();
        }
        $mat /= $area;
        $down = $surface * Canopy::underFloaters($mat, $plan->floaterPart());
        [$within, $floor] = Shade::within($places, $areas, $leaves, $area);
        foreach ($within as $i => $share) {
            $clump = $plan->clumps[$i];
            $light[$clump->id] = $clump->hasLeavesInAir()
                ? $surface * $share
                : $down * $share * WaterColumn::transmission($plan->waterLine - min($plan->waterLine, $tops[$i]), $attenuation);
        }
        $water = WaterColumn::transmission($plan->waterLine - $plan->bed->meanDepth(), $attenuation);

        return new self($light, $surface, $down * $floor * $water, $surface * $water, min($plan->floaterPart(), $mat));
    }
}
