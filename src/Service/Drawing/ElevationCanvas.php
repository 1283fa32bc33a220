<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;

/** What those who draw an elevation share: the tank on its day, the view that they draw into, and where in it things stand. */
final class ElevationCanvas
{
    public readonly View $view;
    public readonly Frame $frame;
    public readonly Profile $profile;

    public function __construct(
        public readonly Plan $plan,
        public readonly Snapshot $day,
        public readonly UnitSystem $units,
        public readonly bool $side,
        public readonly bool $small,
        float $width,
        float $height,
        float $left,
        float $right,
        float $below,
    ) {
        $vessel = $plan->vessel;
        $this->profile = $side ? Profile::side($vessel) : Profile::front($vessel);
        $air = $this->headroom();
        $scale = ($width - $left - $right) / $this->profile->width;
        $scale = $side
            ? min(
                $scale,
                ($height - $below - 12) / max(0.06, 1.25 * max($plan->bed->depth(Side::Front), $plan->bed->depth(Side::Back)) + 0.02),
            )
            : min($scale, ($height - $below - 8) / ($vessel->height() + $air));
        $used = $this->profile->width * $scale;
        $this->frame = new Frame($left + ($width - $left - $right - $used) / 2, $height - $below, $scale);
        $this->view = new View($side ? 'side' : 'front', $side ? 'The bed from front to back' : 'The tank from the front', $width, $height);
    }

    /** m over the rim that are drawn: lamp, and plants that grow out of the water. */
    public function headroom(): float
    {
        $air =
            [] !==
            array_filter(
                $this->plan->clumps,
                static fn (Clump $c): bool => \in_array($c->kind->role, [PlantRole::Marsh, PlantRole::HousePlant], true),
            )
                ? 0.3 * $this->plan->vessel->height()
                : 0.0;

        // Room to move the lamp in, so that the scale stays while it is moved.
        return max(0.02, $air, $this->hasLamp() ? max(0.15, 0.35 * $this->plan->vessel->height(), $this->plan->lamp->height + 0.01) : 0.0);
    }

    public function hasLamp(): bool
    {
        return $this->plan->lamp->lumens > 0 && $this->plan->lamp->hours > 0;
    }

    /**
     * What lies within the vessel between two surfaces, each given as a height (m) at a share (0–1) of the way across.
     *
     * @param \Closure(float): float $low
     * @param \Closure(float): float $high
     * @param float                  $from share of the way across at which it begins
     * @param float                  $to   likewise, at which it ends
     */
    public function stratum(\Closure $low, \Closure $high, float $from = 0.0, float $to = 1.0): string
    {
        $above = $below = [];
        $width = $this->profile->width;
        $stations = array_filter($this->profile->stations(), static fn (float $s): bool => $s >= $from * $width && $s <= $to * $width);
        foreach ([...$from > 0 ? [$from * $width] : [], ...$stations, ...$to < 1 ? [$to * $width] : []] as $station) {
            $share = $station / $this->profile->width;
            $bottom = $this->profile->bottom($station);
            $top = $this->profile->top($station);
            $above[] = [$station, max($bottom, min($top, $high($share)))];
            array_unshift($below, [$station, max($bottom, min($top, $low($share)))]);
        }

        return Pen::polygon($this->frame->placed([...$above, ...$below]));
    }

    /**
     * Height of a surface across this view: level where the cut is along the front, sloping where it is across.
     *
     * @param \Closure(Side): float $at
     *
     * @return \Closure(float): float
     */
    public function surface(\Closure $at): \Closure
    {
        $front = $at(Side::Front);
        $back = $at(Side::Back);

        return $this->side
            ? static fn (float $share): float => $front + ($back - $front) * $share
            : static fn (): float => ($front + $back) / 2;
    }

    /** m above the floor of the bed's face where a thing stands. */
    public function ground(float $place, float $row): float
    {
        $bed = $this->plan->bed;
        $zone = $bed->zoneAt($place, $row);

        return match (true) {
            null !== $zone => $bed->top($zone),
            $this->side => $bed->at($row),
            default => $bed->meanDepth(),
        };
    }

    public function length(float $metres): string
    {
        return $this->units->show(Dimension::Length, $metres);
    }
}
