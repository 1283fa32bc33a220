<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Light\Canopy;
use Olvek\Core\Light\WaterColumn;
use Olvek\Core\Plan\Clump;

/**
 * Who gets how much light on a day: floaters first, then the tallest, algae last.
 *
 * @internal
 */
final readonly class DayLight
{
    /** @var list<int> submerged clumps, tallest first */
    private array $order;
    /** @var list<float> m of water above each clump's top */
    private array $above;

    public function __construct(private Facts $facts)
    {
        $plan = $facts->plan;
        $room = $plan->waterLine - $plan->bed->meanDepth();
        $height = static fn (int $i): float => min($room, $plan->clumps[$i]->kind->height->value);
        $order = array_keys(array_filter($plan->clumps, static fn (Clump $c): bool => !$c->kind->role->hasLeavesInAir()));
        usort($order, static fn (int $a, int $b): int => [$height($b), $a] <=> [$height($a), $b]);
        $this->order = $order;
        $this->above = array_map(static fn (int $i): float => $room - $height($i), array_keys($plan->clumps));
    }

    /** @param array<int, float> $masses g dry of each clump, mean of the day */
    public function fall(State $state, Day $day, array $masses): void
    {
        $area = $this->facts->surface;
        $mat = 0.0;
        $light = [];
        foreach ($this->facts->plan->clumps as $i => $clump) {
            if ($clump->kind->role->coversSurface()) {
                $mat += $masses[$i] / $clump->kind->densest->value;
            }
            $light[$i] = $day->surfaceLight;
        }
        $day->cover = min(1.0, $mat / $area);
        $attenuation = WaterColumn::ATTENUATION + WaterColumn::TANNIN * $state->tannin / $state->volume + WaterColumn::GREEN * 1000 * $state->algae[Alga::Drift->value] / $state->volume;
        $down = $day->surfaceLight * Canopy::underFloaters($day->cover);
        $path = $attenuation * $this->facts->depth;
        $day->driftLight = $down * (1 - exp(-$path)) / $path;
        foreach ($this->order as $i) {
            $leaves = Canopy::LEAF_AREA * $masses[$i] / $area;
            $light[$i] = Canopy::meanWithin($down * WaterColumn::transmission($this->above[$i], $attenuation), $leaves);
            $down *= Canopy::transmission($leaves);
        }
        $day->light = $light;
        // They sit on leaves, glass and bed alike: between the light of the surface and that of the bed.
        $day->algaeLight = ($day->surfaceLight * Canopy::underFloaters($day->cover) + $down * WaterColumn::transmission($this->facts->depth, $attenuation)) / 2;
    }
}
