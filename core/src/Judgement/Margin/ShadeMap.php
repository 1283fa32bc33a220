<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Nature\Light\Canopy;
use Olvek\Core\Nature\Light\Shade;
use Olvek\Core\Nature\Light\WaterColumn;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;

/**
 * How light lies on the bed, seen from above: floaters dim all of it alike, each clump what stands below it. The run
 * asks the same shades.
 */
final readonly class ShadeMap
{
    /**
     * @param list<list<float|null>> $light PPFD on the bed, µmol m⁻² s⁻¹ (under the sky mol m⁻² d⁻¹), by row from front to back and
     *     column from left to right; null outside of the vessel
     * @param float             $most  the same on a bare bed
     */
    private function __construct(public array $light, public float $most)
    {
    }

    public static function of(Plan $plan, Snapshot $snapshot, int $columns = 24, int $rows = 12): self
    {
        $length = $plan->vessel->length();
        $width = $plan->vessel->width();
        $water = WaterColumn::transmission(
            $plan->waterLine - $plan->bed->meanDepth(),
            WaterColumn::ATTENUATION + WaterColumn::TANNIN * $snapshot->tannin + WaterColumn::GREEN * $snapshot->green,
        );
        $bare =
            ($plan->site->daylight()->any() ? $snapshot->light : $plan->lamp->atSurface($plan->surface()) * $snapshot->lampShare) * $water;
        $mat = 0.0;
        $places = $areas = $leaves = [];
        foreach ($plan->clumps as $i => $clump) {
            $area = $snapshot->spread($plan, $i);
            if ($clump->kind->role->coversSurface()) {
                $mat += $snapshot->clumps[$i] / $clump->kind->mat->value / $plan->surface();
            } elseif ($area > 0) {
                $places[] = [$clump->place * $length, $clump->row * $width];
                $areas[] = $area;
                $leaves[] = Canopy::LEAF_AREA * $snapshot->clumps[$i] * $clump->overWater();
            }
        }
        $open = $bare * Canopy::underFloaters($mat);
        $light = [];
        $outline = $plan->vessel->outline();
        for ($row = 0; $row < $rows; ++$row) {
            $z = ($width * ($row + 0.5)) / $rows;
            for ($column = 0; $column < $columns; ++$column) {
                $x = ($length * ($column + 0.5)) / $columns;
                $light[$row][$column] = $outline->contains($x, $z)
                    ? $open * Shade::below($x, $z, $places, $areas, $leaves, $plan->surface())
                    : null;
            }
        }

        return new self(array_values(array_map(array_values(...), $light)), $bare);
    }
}
