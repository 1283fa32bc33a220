<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\Level;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Clump;

/** Stones, wood, plants and animals of an elevation. */
final readonly class ElevationLife extends ElevationPainter
{
    /** Most figures drawn of one clump or group; more would only blur. */
    private const MOST_FIGURES = 16;
    private const FEW_FIGURES = 6;
    /** On the shelf, where a drawing is a hand's width and twelve of them are sent. */
    private const SHELF_FIGURES = 5;
    private const ALL_FIGURES = 90;

    /** Stones and wood stand on the bed, each about as wide as it is high. */
    public function hardscape(): void
    {
        foreach ($this->plan->pieces as $piece) {
            $x = $this->frame->x(($this->side ? $piece->row : $piece->place) * $this->profile->width);
            $this->view->plants[] = new Shape(
                HardscapeFigure::draw(
                    new Pen($piece->id.$piece->kind->id),
                    $x,
                    $this->frame->y($this->canvas->ground($piece->place, $piece->row)),
                    $piece,
                    ($this->side ? $piece->broad() : $piece->long()) * $this->frame->scale,
                    $piece->tall() * $this->frame->scale,
                ),
                $piece->kind->wood ? 'wood' : 'stone',
            );
            $this->view->words[] = \sprintf('%s, %s.', $piece->kind->name, $this->units->show(Dimension::Volume, $piece->litres));
        }
    }

    public function plants(): void
    {
        $order = array_keys($this->plan->clumps);
        usort($order, fn (int $a, int $b): int => $this->day->height($this->plan, $b) <=> $this->day->height($this->plan, $a));
        foreach ($order as $i) {
            $this->clump($this->plan->clumps[$i], $i);
        }
    }

    private function clump(Clump $clump, int $index): void
    {
        $this->view->words[] = $this->clumpWords($clump, $index);
        if ($this->day->clumps[$index] <= 0) {
            return;
        }
        $role = $clump->kind->role;
        $width = $this->profile->width;
        $span = $this->span($clump, $index);
        $middle = ($this->side ? $clump->row : $clump->place) * $width;
        $start = max(0.0, min($width - $span, $middle - $span / 2));
        $pen = new Pen($clump->id.$clump->kind->id.($this->side ? 's' : ''));
        $line = $this->plan->waterLine;
        $most = match (true) {
            $this->small => self::SHELF_FIGURES,
            $this->side => self::FEW_FIGURES,
            default => max(self::FEW_FIGURES, min(self::MOST_FIGURES, intdiv(self::ALL_FIGURES, \count($this->plan->clumps)))),
        };
        $count = $role->coversSurface() ? max(1, min($most, (int) round(($span * $this->frame->scale) / 22))) : min($most, $clump->pieces);
        $tall = $this->day->height($this->plan, $index);
        for ($n = 0; $n < $count; ++$n) {
            $at = $start + ($span * ($n + 0.5)) / $count + ($pen->between(-0.2, 0.2) * $span) / $count;
            $ground = $this->perch($clump) ?? $this->canvas->ground(
                $this->side ? $clump->place : $at / $width,
                $this->side ? $at / $width : $clump->row,
            ) + $clump->raised;
            $room = max(0.01, $line - $ground);
            $height = $tall * $pen->between(0.78, 1.0);
            $height = PlantRole::Runner === $role || $clump->hasLeavesInAir() ? $height : min($height, $room * $pen->between(0.86, 0.97));
            array_push(
                $this->view->plants,
                ...PlantFigure::draw(
                    $clump->kind,
                    $clump->id.$n,
                    $this->frame->x($at),
                    $this->frame->y($ground),
                    $height * $this->frame->scale,
                    $this->frame->y($line),
                    $this->frame->scale / 100,
                ),
            );
        }
    }

    /** m above the floor of the stone or wood that a plant is tied to; null where it stands in the bed. */
    private function perch(Clump $clump): ?float
    {
        $piece = $this->plan->pieceUnder($clump);

        return null === $piece ? null : $this->canvas->ground($piece->place, $piece->row) + 0.75 * $piece->tall();
    }

    private function clumpWords(Clump $clump, int $index): string
    {
        $piece = Words::plural($clump->pieces, $clump->kind->piece);
        $now = match (true) {
            $this->day->clumps[$index] > 0 => '',
            $this->day->day < $clump->day => " It is planted on day $clump->day.",
            default => ' By this day it is gone.',
        };

        return \sprintf(
            '%d %s of %s, %s %% along the front.%s',
            $clump->pieces,
            $piece,
            $clump->kind->common,
            Decimal::trimmed($clump->place * 100, 0),
            $now,
        );
    }

    /** m across that a clump fills in this view. */
    private function span(Clump $clump, int $index): float
    {
        $width = $this->profile->width;
        if ($clump->kind->role->coversSurface()) {
            return min(
                $width,
                max(
                    0.05 * $width,
                    ($this->day->clumps[$index] / $clump->kind->mat->value / $this->plan->surface()) *
                        $this->profile->at($this->plan->waterLine),
                ),
            );
        }
        $area = $this->day->spread($this->plan, $index);
        $other = $this->side ? $this->plan->vessel->length() : $this->plan->vessel->width();

        // A clump is drawn half again as long as it is deep, within the glass.
        return min($width, max(sqrt($area * ($this->side ? 1 / 1.5 : 1.5)), $area / $other));
    }

    public function animals(): void
    {
        $bed = $this->plan->bed->meanDepth();
        $water = $this->plan->waterLine - $bed;
        foreach ($this->plan->groups as $i => $group) {
            $heads = (int) round($this->day->heads[$i]);
            $this->view->words[] = \sprintf('%d %s.', $heads, $group->kind->common);
            if ($this->side) {
                continue;
            }
            $pen = new Pen($group->id.$group->kind->id);
            $figure = AnimalFigure::of($group->kind);
            $size = max($this->small ? 6.0 : 9.0, AnimalFigure::length($group->kind) * $this->frame->scale);
            for ($n = 0; $n < min($this->small ? self::FEW_FIGURES : self::MOST_FIGURES, $heads); ++$n) {
                [$low, $high] = match ($group->kind->level) {
                    Level::Top => [0.72, 0.93],
                    Level::Middle => [0.3, 0.75],
                    Level::Bottom => [0.0, 0.0],
                };
                $lift = Level::Bottom === $group->kind->level ? (AnimalShape::Snail === $group->kind->shape ? 0.3 : 0.25) * $size : 0.0;
                $height = $bed + $water * $pen->between($low, $high);
                $reach = $this->profile->at($height) / $this->profile->width;
                $at = $this->profile->width * (0.5 + $reach * $pen->between(-0.45, 0.45));
                $figure->add(
                    $this->frame->x($at),
                    $this->frame->y($height) - $lift,
                    $size,
                    $pen->between(0, 1) > 0.5 ? 1 : -1,
                );
            }
            array_push($this->view->front, ...$figure->shapes());
        }
    }
}
