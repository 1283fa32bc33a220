<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Light\Canopy;
use Olvek\Core\Nature\Light\Shade;
use Olvek\Core\Nature\Light\WaterColumn;
use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Planning\Plan\Clump;

/**
 * Who gets how much light on a day: floaters first, then the tallest at their places, algae last.
 *
 * @internal
 */
final class DayLight
{
    /** Share of the light on the water that spills to the rim, beside what the room gives. J (0.2–0.8). */
    private const SPILL = 0.5;
    /** Hours a day for which a room is light. J. */
    private const ROOM_HOURS = 12.0;
    /**
     * Share of what a stand covers by which it may grow before it is asked anew who covers whom: half a millimetre of its rim. J;
     * asking each day moves no margin by 0.5 %.
     */
    private const GROWN = 0.01;

    /** @var list<int> clumps that stand, tallest first */
    private readonly array $order;
    /** @var list<float> m of water above each clump's top */
    private readonly array $above;
    /** @var array<int, array{float, float}> m from the left and the front, tallest first */
    private readonly array $places;
    /** @var array<int, float> share of each one's leaves that hangs over the water */
    private readonly array $over;
    /** @var array<int, array<int, float>> share of each that each taller one covers, and each one's area when that was found */
    private array $overlaps = [];
    /** @var array<int, float> m² */
    private array $found = [];

    public function __construct(private readonly RunConstants $facts)
    {
        $plan = $facts->plan;
        $height = static fn (int $i): float => $plan->top($plan->clumps[$i]);
        $order = array_keys(array_filter($plan->clumps, static fn (Clump $c): bool => !$c->kind->role->coversSurface()));
        usort($order, static fn (int $a, int $b): int => [$height($b), $a] <=> [$height($a), $b]);
        $this->order = $order;
        $this->above = array_map(static fn (int $i): float => max(0.0, $plan->waterLine - $height($i)), array_keys($plan->clumps));
        $places = $over = [];
        foreach ($order as $i) {
            $places[$i] = [$plan->clumps[$i]->place * $plan->vessel->length(), $plan->clumps[$i]->row * $plan->vessel->width()];
            $over[$i] = $plan->clumps[$i]->overWater();
        }
        $this->places = $places;
        $this->over = $over;
    }

    /** @param array<int, float> $masses g dry of each clump, mean of the day */
    public function fall(State $state, Day $day, array $masses): void
    {
        $facts = $this->facts;
        $area = $facts->surface;
        $leafArea = $facts->parameters->leafArea;
        [$surfaceLight, $lightHours] = [$day->surfaceLight, $day->lightHours];
        $mat = $wet = 0.0;
        $light = [];
        foreach ($facts->clumps as $i => $clump) {
            if ($clump->floats) {
                $mat += $masses[$i] / $clump->kind->mat->value;
            }
            $light[$i] = $surfaceLight;
        }
        $day->mat = $mat / $area;
        $day->cover = min($facts->floaterPart, $day->mat);
        $attenuation =
            $facts->parameters->attenuation +
            (WaterColumn::TANNIN * $state->tannin) / $state->volume +
            (WaterColumn::GREEN * 1000 * $state->algae[Alga::Drift->value]) / $state->volume;
        $down = $day->surfaceLight * Canopy::underFloaters($day->mat, $facts->floaterPart);
        $path = $attenuation * $facts->depth;
        $day->driftLight = ($down * (1 - exp(-$path))) / $path;
        $areas = $leaves = [];
        // Local arrays: a property's element is four times as dear.
        [$clumps, $planted, $over, $above] = [$facts->clumps, $state->plantedMass, $this->over, $this->above];
        foreach ($this->order as $i) {
            $areas[$i] = $clumps[$i]->spread($planted[$i] > 0 ? $masses[$i] / $planted[$i] : 0.0);
            $leaf = $leaves[$i] = $leafArea * $masses[$i] * $over[$i];
            $wet += 1.0 === $over[$i] ? $leaf : 0.0;
        }
        $day->areas = $areas;
        [$within, $floor] = Shade::through($this->overlaps($areas), $areas, $leaves, $area);
        foreach ($within as $i => $share) {
            $clump = $clumps[$i];
            $light[$i] = match (true) {
                $clump->house => $facts->parameters->roomLight + self::SPILL * $surfaceLight,
                $clump->inAir => $surfaceLight * $share,
                default => $down * $share * exp(-$attenuation * $above[$i]),
            };
        }
        $day->light = $light;
        $day->leafArea = $wet;
        $rimHours = max(self::ROOM_HOURS, $day->lightHours);
        $lit = [];
        foreach ($clumps as $i => $clump) {
            $lit[] = Growth::lightFactor(
                $clump->halfLight,
                $clump->compensation,
                $light[$i],
                $clump->house ? $rimHours : $lightHours,
            );
        }
        $day->lit = $lit;
        // They sit on leaves, glass and bed alike: between the light of the surface and that of the bed.
        $day->algaeLight = ($down + $down * $floor * WaterColumn::transmission($facts->depth, $attenuation)) / 2;
    }

    /**
     * @param array<int, float> $areas m²
     *
     * @return array<int, array<int, float>>
     */
    private function overlaps(array $areas): array
    {
        $found = $this->found;
        if ([] === $found) {
            $this->found = $areas;

            return $this->overlaps = Shade::overlaps($this->places, $areas);
        }
        $moved = [];
        foreach ($areas as $i => $area) {
            $by = $area - $found[$i];
            if ($by > self::GROWN * $found[$i] || $by < -self::GROWN * $found[$i]) {
                $moved[$i] = true;
                $found[$i] = $area;
            }
        }
        if ([] === $moved) {
            return $this->overlaps;
        }
        $this->found = $found;

        return $this->overlaps = Shade::overlaps($this->places, $found, $this->overlaps, $moved);
    }
}
