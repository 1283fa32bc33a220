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
    /** Heights of still drawings against their widths. J: what a page bears. */
    private const LOWEST = 0.4;
    private const HIGHEST = 0.78;

    public readonly View $view;
    public readonly Frame $frame;
    public readonly Profile $profile;

    public function __construct(
        public readonly Plan $plan,
        public readonly Snapshot $day,
        public readonly UnitSystem $units,
        public readonly bool $side,
        public readonly bool $small,
        private readonly bool $still,
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

    /**
     * Of a drawing in which nothing is moved: as high as the vessel is for its width, within bounds.
     */
    public static function still(Plan $plan, Snapshot $day, UnitSystem $units, float $width, float $margin): self
    {
        $profile = Profile::front($plan->vessel);
        $shape = ($plan->vessel->height() + self::air($plan, true)) / $profile->width;
        $height = max(self::LOWEST * $width, min(self::HIGHEST * $width, $shape * ($width - 2 * $margin) + 2 * $margin));

        return new self($plan, $day, $units, false, false, true, $width, $height, $margin, $margin, $margin);
    }

    /** m over the rim that are drawn: lamp, and plants that grow out of the water. */
    public function headroom(): float
    {
        return self::air($this->plan, $this->still);
    }

    /** @param bool $still whether the lamp stays where it is; else there is room to move it in, so that the scale stays meanwhile */
    private static function air(Plan $plan, bool $still): float
    {
        $air =
            [] !==
            array_filter(
                $plan->clumps,
                static fn (Clump $c): bool => \in_array($c->kind->role, [PlantRole::Marsh, PlantRole::HousePlant], true),
            )
                ? 0.3 * $plan->vessel->height()
                : 0.0;
        $lamp = $plan->lamp->height + 0.01;
        $above = match (true) {
            !self::isLit($plan) => 0.0,
            $still => $lamp,
            default => max(0.15, 0.35 * $plan->vessel->height(), $lamp),
        };

        return max(0.02, $air, $above);
    }

    public function hasLamp(): bool
    {
        return self::isLit($this->plan);
    }

    private static function isLit(Plan $plan): bool
    {
        return $plan->lamp->lumens > 0 && $plan->lamp->hours > 0;
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
