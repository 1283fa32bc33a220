<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Suitability;

use Olvek\Core\Nature\Light\Canopy;
use Olvek\Core\Nature\Light\Shade;
use Olvek\Core\Nature\Light\WaterColumn;
use Olvek\Core\Nature\Plant\Spread;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;

/** The light that a newcomer of any height would find at any place of a tank on a day, under all that stands there and is taller. */
final readonly class LightHere
{
    /** @var list<array{float, int}> m of each stand's top, and its number; the tallest first */
    private array $tops;
    /** @var array<int, array{float, float}> m from the left and the front */
    private array $places;
    /** @var array<int, float> m² that each covers */
    private array $areas;
    /** @var array<int, float> m² of leaf of each */
    private array $leaves;
    /**
     * PPFD under the floaters, or mol/m² of a day where the sky lights it; what it is in the air; and what the water takes of it by the m.
     */
    private float $down;
    public float $surface;
    private float $attenuation;

    public function __construct(private Plan $plan, Snapshot $look)
    {
        $tops = $places = $areas = $leaves = [];
        $mat = 0.0;
        foreach ($plan->clumps as $i => $clump) {
            $mass = $look->clumps[$i] ?? $clump->biomass();
            if ($clump->kind->role->coversSurface()) {
                $mat += $mass / $clump->kind->mat->value;
                continue;
            }
            $tops[] = [$plan->top($clump), $i];
            $places[$i] = [$clump->place * $plan->vessel->length(), $clump->row * $plan->vessel->width()];
            $areas[$i] = Spread::area($clump->area(), $mass / max(1e-9, $clump->biomass()));
            $leaves[$i] = Canopy::LEAF_AREA * $mass * $clump->overWater();
        }
        rsort($tops);
        $this->tops = $tops;
        $this->places = $places;
        $this->areas = $areas;
        $this->leaves = $leaves;
        $this->surface = $plan->site->daylight()->any()
            ? $look->light
            : $plan->lamp->atSurface($plan->surface()) * $look->lampShare;
        $this->down = $this->surface * Canopy::underFloaters($mat / $plan->surface(), $plan->floaterPart());
        $this->attenuation = WaterColumn::ATTENUATION + WaterColumn::TANNIN * $look->tannin + WaterColumn::GREEN * $look->green;
    }

    /**
     * As seen from within leaves of its own.
     *
     * @param float $top    m over the inside of the bottom that it reaches
     * @param float $area   m² that it covers
     * @param float $leaves m² of leaf that it has
     */
    public function at(float $place, float $row, float $top, float $area, float $leaves): float
    {
        $over = [];
        foreach ($this->tops as [$height, $i]) {
            if ($height <= $top) {
                break;
            }
            $over[$i] = $this->places[$i];
        }
        $shade = Shade::below(
            $place * $this->plan->vessel->length(),
            $row * $this->plan->vessel->width(),
            $over,
            $this->areas,
            $this->leaves,
            $this->plan->surface(),
        );
        $radius = sqrt($area / \M_PI) + Shade::SLANT;
        $path = (Canopy::EXTINCTION * $leaves) / min($this->plan->surface(), \M_PI * $radius * $radius);
        $within = $path < 1e-6 ? 1.0 : (1 - exp(-$path)) / $path;

        return $this->down * $shade * $within * WaterColumn::transmission(
            $this->plan->waterLine - min($this->plan->waterLine, $top),
            $this->attenuation,
        );
    }
}
