<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Planning\Plan\Plan;

/** What can be taken hold of in an elevation. */
final readonly class ElevationHandles extends ElevationPainter
{
    /** Room that a peg needs. */
    private const PEG = 15.0;

    public function frontHandles(): void
    {
        $plan = $this->plan;
        $frame = $this->frame;
        $scale = $frame->scale;
        $rim = $plan->vessel->height();
        $half = UnitSystem::Us === $this->units ? 0.25 : 0.5;
        $this->view->handles[] = Handle::of('waterLine', 'water line', 'grip')
            ->at($frame->x($plan->vessel->length() / 2 + $this->profile->at($plan->waterLine) / 2), $frame->y($plan->waterLine))
            ->along(Axis::Up, per: -$scale, step: $half)
            ->from($plan->waterLine, $plan->bed->meanDepth() + Plan::LEAST_WATER, $rim)
            ->in($this->units);
        if ($this->canvas->hasLamp()) {
            $this->view->handles[] = Handle::of('light.height', 'lamp over the rim', 'grip')
                ->at($frame->x($plan->vessel->length() * 0.88) + 12, $frame->y($rim + $plan->lamp->height) - 3)
                ->along(Axis::Up, per: -$scale, step: 2 * $half)
                ->from($plan->lamp->height, 0.0, $this->canvas->headroom() - 0.005)
                ->in($this->units);
        }
        foreach ($plan->clumps as $clump) {
            $this->peg("plants.$clump->id.place", $clump->kind->common, $clump->place, 'peg');
        }
        foreach ($plan->pieces as $piece) {
            $this->peg("hardscape.$piece->id.place", $piece->kind->name, $piece->place, 'peg peg-stone');
        }
    }

    public function sideHandles(): void
    {
        $bed = $this->plan->bed;
        $frame = $this->frame;
        $most = $this->plan->waterLine - Plan::LEAST_WATER;
        $half = UnitSystem::Us === $this->units ? 0.25 : 0.5;
        foreach ([[Side::Front, -1, 0.0], [Side::Back, 1, $this->profile->width]] as [$side, $sign, $edge]) {
            $shown = ['soil' => [$bed->soil, $bed->soilTop($side), 28], 'cap' => [$bed->cap, $bed->depth($side), 10]];
            foreach ($shown as $name => [$layer, $top, $out]) {
                if (null === $layer) {
                    continue;
                }
                $value = $layer->depth($side);
                $this->view->front[] = new Shape(
                    Pen::line($frame->x($edge), $frame->y($top), $frame->x($edge) + $sign * $out, $frame->y($top)),
                    'dim-line',
                );
                $this->view->handles[] = Handle::of("bed.$name.$side->value", "$name at the $side->value", "knob knob-$name")
                    ->at($frame->x($edge) + $sign * $out, $frame->y($top))
                    ->along(Axis::Up, per: -$frame->scale, step: $half)
                    ->from($value, 0.0, max(0.0, $value + $most - $bed->depth($side)))
                    ->in($this->units);
            }
        }
    }

    /** A peg under something that stands on the bed; where another is in its way it stands higher. */
    private function peg(string $place, string $name, float $at, string $form): void
    {
        $x = $this->frame->x($at * $this->profile->width);
        $y = $this->frame->floor - 8;
        while (
            [] !==
            array_filter(
                $this->view->handles,
                static fn (Handle $h): bool => str_starts_with($h->form, 'peg')
                    && abs($h->x - $x) < self::PEG
                    && abs($h->y - $y) < self::PEG,
            )
        ) {
            $y -= self::PEG;
        }
        $this->view->handles[] = Handle::of($place, "$name, along the front", $form)
            ->at($x, $y)
            ->along(Axis::Across, per: $this->profile->width * $this->frame->scale, step: 1.0)
            ->from($at, 0.0, 1.0)
            ->in($this->units);
    }
}
