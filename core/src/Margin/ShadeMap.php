<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Light\Canopy;
use Olvek\Core\Light\WaterColumn;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Snapshot;

/**
 * How light lies on the bed, seen from above: floaters dim all of it alike, each clump what stands below it. Light is taken to fall
 * straight down (J), so the map is sharper than the truth; the run itself reckons with means.
 */
final readonly class ShadeMap
{
    /**
     * @param list<list<float>> $light PPFD on the bed, µmol m⁻² s⁻¹ (under the sky mol m⁻² d⁻¹), by row from front to back and column from left to right
     * @param float             $most  the same on a bare bed
     */
    private function __construct(public array $light, public float $most)
    {
    }

    public static function of(Plan $plan, Snapshot $snapshot, int $columns = 24, int $rows = 12): self
    {
        $length = $plan->vessel->length();
        $width = $plan->vessel->width();
        $water = WaterColumn::transmission($plan->waterLine - $plan->bed->meanDepth(), WaterColumn::ATTENUATION + WaterColumn::TANNIN * $snapshot->tannin + WaterColumn::GREEN * $snapshot->green);
        $bare = ($plan->site->daylight()->any() ? $snapshot->light : $plan->lamp->atSurface($plan->surface()) * $snapshot->lampShare) * $water;
        $open = $bare * Canopy::underFloaters($snapshot->cover);
        $stands = [];
        foreach ($plan->clumps as $i => $clump) {
            $area = $snapshot->spread($plan, $i);
            if ($area > 0 && $clump->kind->role->coversFloor()) {
                $stands[] = [$clump->place * $length, $clump->row * $width, $area / \M_PI, Canopy::transmission(Canopy::LEAF_AREA * $snapshot->clumps[$i] / $area)];
            }
        }
        $light = [];
        for ($row = 0; $row < $rows; ++$row) {
            $z = $width * ($row + 0.5) / $rows;
            for ($column = 0; $column < $columns; ++$column) {
                $x = $length * ($column + 0.5) / $columns;
                $left = $open;
                foreach ($stands as [$atX, $atZ, $square, $through]) {
                    $left *= ($x - $atX) ** 2 + ($z - $atZ) ** 2 <= $square ? $through : 1.0;
                }
                $light[$row][$column] = $left;
            }
        }

        return new self(array_values(array_map(array_values(...), $light)), $bare);
    }
}
