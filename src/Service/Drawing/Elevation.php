<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\Level;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Vessel\TiltedFlask;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Alga;
use Olvek\Core\Simulation\Run\Snapshot;

/**
 * The tank from the front, cut through the bed's middle, and its bed from front to back, cut across; each to its own scale, as a run has it
 * on a day.
 */
final class Elevation
{
    /** Half height of the ellipse by which round vessels show. */
    private const ROUND = 6.0;
    /** Room that a peg needs. */
    private const PEG = 15.0;
    /** Most figures drawn of one clump or group; more would only blur. */
    private const MOST_FIGURES = 16;
    private const FEW_FIGURES = 6;
    /** On the shelf, where a drawing is a hand's width and twelve of them are sent. */
    private const SHELF_FIGURES = 5;
    private const ALL_FIGURES = 90;
    /** Tannin (mg C/L) and green water (mg dry/L) at which the water is painted half over. */
    private const BROWN_WATER = 15.0;
    private const GREEN_WATER = 40.0;

    private readonly View $view;
    private readonly Frame $frame;
    private readonly Profile $profile;

    private function __construct(
        private readonly Plan $plan,
        private readonly Snapshot $day,
        private readonly UnitSystem $units,
        private readonly bool $side,
        private readonly bool $small,
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

    public static function front(Plan $plan, Snapshot $day, ClumpLight $light, UnitSystem $units): View
    {
        $drawing = new self($plan, $day, $units, false, false, 600, 368, 74, 74, 38);
        $drawing->draw();
        $drawing->frontMeasures($light);
        $drawing->frontHandles();
        $drawing->view->floor = ['left' => $drawing->frame->x(0.0), 'right' => $drawing->frame->x($drawing->profile->width)];

        return $drawing->view;
    }

    public static function side(Plan $plan, Snapshot $day, UnitSystem $units): View
    {
        $drawing = new self($plan, $day, $units, true, false, 600, 300, 96, 96, 38);
        $drawing->draw();
        $drawing->sideMeasures();
        $drawing->sideHandles();

        return $drawing->view;
    }

    /** The front view alone, small, without words: for the shelf. */
    public static function thumbnail(Plan $plan, Snapshot $day): View
    {
        $drawing = new self($plan, $day, UnitSystem::Metric, false, true, 300, 200, 8, 8, 8);
        $drawing->draw();

        return $drawing->view;
    }

    /** m over the rim that are drawn: lamp, and plants that grow out of the water. */
    private function headroom(): float
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

    private function hasLamp(): bool
    {
        return $this->plan->lamp->lumens > 0 && $this->plan->lamp->hours > 0;
    }

    private function draw(): void
    {
        $this->clip();
        $this->water();
        $this->lamp();
        $this->bed();
        $this->hardscape();
        $this->plants();
        $this->animals();
        $this->film();
        $this->glass();
    }

    /** Where plants may show: between the panes, and in the air above the rim; never outside the drawing. */
    private function clip(): void
    {
        $wall = $this->profile->wall();
        $rim = [[$wall[\count($wall) - 1][0], $this->profile->height], [$wall[0][0], $this->profile->height]];
        $frame = $this->frame;
        $this->view->clip =
            Pen::polygon($frame->placed($wall)).
            Pen::polygon([[$frame->x($rim[1][0]), 0.0], [$frame->x($rim[0][0]), 0.0], ...$frame->placed($rim)]);
    }

    /**
     * What lies within the vessel between two surfaces, each given as a height (m) at a share (0–1) of the way across.
     *
     * @param \Closure(float): float $low
     * @param \Closure(float): float $high
     * @param float                  $from share of the way across at which it begins
     * @param float                  $to   likewise, at which it ends
     */
    private function stratum(\Closure $low, \Closure $high, float $from = 0.0, float $to = 1.0): string
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
    private function surface(\Closure $at): \Closure
    {
        $front = $at(Side::Front);
        $back = $at(Side::Back);

        return $this->side
            ? static fn (float $share): float => $front + ($back - $front) * $share
            : static fn (): float => ($front + $back) / 2;
    }

    private function water(): void
    {
        $level = fn (): float => $this->plan->waterLine;
        $body = $this->stratum(static fn (): float => 0.0, $level);
        $this->view->back[] = new Shape($body, 'water');
        $shown = ['water-brown' => $this->day->tannin / self::BROWN_WATER, 'water-green' => $this->day->green / self::GREEN_WATER];
        foreach ($shown as $class => $share) {
            if ($share > 0.04) {
                $this->view->back[] = new Shape($body, \sprintf('%s tint-%d', $class, min(5, 1 + (int) (5 * $share))));
            }
        }
    }

    /** Daylight falls in aslant, from the left where a window looks, from above under the open sky. */
    private function sun(): void
    {
        $frame = $this->frame;
        $w = $this->profile->width;
        $line = $frame->y($this->plan->waterLine);
        $open = $this->profile->at($this->plan->waterLine);
        $left = $frame->x(($w - $open) / 2);
        $right = $frame->x(($w + $open) / 2);
        $lean = Aspect::Open === $this->plan->site->aspect ? 0.0 : 60.0;
        foreach ([0.08, 0.36, 0.64] as $share) {
            $from = $left + ($right - $left) * $share;
            $width = ($right - $left) * 0.2;
            $this->view->back[] = new Shape(
                Pen::polygon([[$from - $lean, 4.0], [$from + $width - $lean, 4.0], [$from + $width, $line], [$from, $line]]),
                'light-sun',
            );
        }
        if (!$this->hasLamp()) {
            $this->view->back[] = new Shape(
                $this->stratum(fn (): float => $this->plan->bed->meanDepth(), fn (): float => $this->plan->waterLine),
                'light-water',
            );
        }
    }

    private function lamp(): void
    {
        if ($this->plan->site->daylight()->any() && !$this->side) {
            $this->sun();
        }
        if (!$this->hasLamp() || $this->side) {
            return;
        }
        $frame = $this->frame;
        $line = $this->plan->waterLine;
        $w = $this->profile->width;
        $open = $this->profile->at($line);
        $lamp = $frame->y($this->plan->vessel->height() + $this->plan->lamp->height);
        $this->view->back[] = new Shape(
            Pen::polygon([
                [$frame->x(0.14 * $w), $lamp],
                [$frame->x(0.86 * $w), $lamp],
                [$frame->x(($w + $open) / 2), $frame->y($line)],
                [$frame->x(($w - $open) / 2), $frame->y($line)],
            ]),
            'light-air',
        );
        $this->view->back[] = new Shape(
            $this->stratum(fn (): float => $this->plan->bed->meanDepth(), static fn (): float => $line),
            'light-water',
        );
        $this->view->front[] = new Shape(Pen::rectangle($frame->x(0.12 * $w), $lamp - 7, 0.76 * $w * $frame->scale, 7), 'lamp');
    }

    private function bed(): void
    {
        $bed = $this->plan->bed;
        $zero = static fn (): float => 0.0;
        $plate = static fn (): float => $bed->plate;
        $top = $this->surface($bed->depth(...));
        $soil = $this->surface($bed->soilTop(...));
        $leaves = $this->surface($bed->underCap(...));
        if (!$this->side && $bed->depth(Side::Back) > $bed->meanDepth()) {
            $this->view->back[] = new Shape($this->stratum($zero, static fn (): float => $bed->depth(Side::Back)), 'cap-far');
        }
        $this->view->front[] = new Shape($this->stratum($plate, $top), 'cap');
        if (null !== $bed->leaves) {
            $this->view->front[] = new Shape($this->stratum($soil, $leaves), 'litter');
        }
        if (null !== $bed->soil) {
            $this->view->front[] = new Shape(
                $this->stratum(
                    $this->surface($bed->underSoil(...)),
                    $soil,
                    $this->side ? min(1.0, $bed->setback / $this->profile->width) : 0.0,
                ),
                'soil',
            );
            $this->bags($bed);
        }
        if (null !== $bed->base) {
            $this->view->front[] = new Shape($this->stratum($plate, $this->surface($bed->underSoil(...))), 'base');
        }
        if (null !== $bed->dressing) {
            $this->view->front[] = new Shape($this->stratum($this->surface($bed->capTop(...)), $top), 'dressing');
        }
        $this->zones($bed);
        if ($bed->plate > 0) {
            [$from, $to] = $this->side ? [0.0, 1.0] : [$bed->plateFrom, $bed->plateTo];
            $this->view->front[] = new Shape($this->stratum($zero, $plate, $from, $to), 'void');
            $this->view->front[] = new Shape(
                Pen::line(
                    $this->frame->x($from * $this->profile->width),
                    $this->frame->y($bed->plate),
                    $this->frame->x($to * $this->profile->width),
                    $this->frame->y($bed->plate),
                ),
                'plate',
            );
            $this->view->words[] = \sprintf('A plate with %s of water under it.', $this->length($bed->plate));
        }
    }

    /** Parts of the floor where the bed is another, the farthest first; pots in a row. */
    private function zones(Bed $bed): void
    {
        $zones = $bed->zones;
        usort($zones, fn (BedZone $a, BedZone $b): int => $this->side ? $a->left <=> $b->left : $b->front <=> $a->front);
        foreach ($zones as $zone) {
            [$from, $to] = $this->side ? [$zone->front, $zone->back] : [$zone->left, $zone->right];
            $under = static fn (): float => $bed->under($zone);
            $soil = static fn (): float => $bed->under($zone) + $zone->soil;
            $top = static fn (): float => $bed->top($zone);
            if (!$this->side && $zone->front <= 0.0) {
                // Behind a low foreground one sees the ground rise, not what lies in it.
                $this->view->front[] = new Shape($this->stratum($under, $bed->meanDepth(...), $from, $to), 'cap');
            }
            $this->view->front[] = new Shape($this->stratum($under, $top, $from, $to), 'cap zone-cap');
            if ($zone->soil > 0) {
                $this->view->front[] = new Shape($this->stratum($under, $soil, $from, $to), 'soil');
            }
            $this->view->front[] = new Shape($this->stratum($top, $top, $from, $to), 'zone-line');
            $this->view->words[] = \sprintf(
                '%s: %s of soil, %s of cap, held by %s.',
                Words::capital($zone->purpose->words()),
                $this->length($zone->soil),
                $this->length($zone->cap),
                $zone->edge->words(),
            );
        }
        if ($bed->pots > 0) {
            $side = ($bed->potLitres / 1000) ** (1 / 3);
            $path = '';
            for ($n = 0; $n < $bed->pots; ++$n) {
                $x = $this->frame->x($this->profile->width * ($n + 0.5) / $bed->pots);
                $y = $this->frame->y($bed->meanDepth());
                $size = $side * $this->frame->scale;
                $path .= Pen::polygon([
                    [$x - 0.6 * $size, $y - $size],
                    [$x + 0.6 * $size, $y - $size],
                    [$x + 0.45 * $size, $y],
                    [$x - 0.45 * $size, $y],
                ]);
            }
            $this->view->front[] = new Shape($path, 'pot');
            $this->view->words[] = \sprintf('%s of soil.', Words::count($bed->pots, 'pot'));
        }
    }

    /** Mesh bags: of lava, as the hill's core, towards the back; of soil, all along. */
    private function bags(Bed $bed): void
    {
        $frame = $this->frame;
        $width = $this->profile->width;
        if ($bed->core > 0) {
            $room = max(1e-6, $bed->soilRoom($this->plan->vessel));
            $count = max(1, (int) round((6 * $bed->core) / $room));
            $depth = ($bed->soil?->meanDepth() ?? 0.0) * min(0.8, 0.3 + $bed->core / $room);
            $path = '';
            for ($n = 0; $n < $count; ++$n) {
                $at = $this->side ? $width * (0.72 + 0.06 * $n) : $width * (0.5 + 0.16 * ($n - ($count - 1) / 2));
                $path .= Pen::disc(
                    min($frame->x($width) - 14, $frame->x($at)),
                    $frame->y($bed->plate + $depth / 2),
                    15,
                    max(3.0, ($depth / 2) * $frame->scale),
                );
            }
            $this->view->front[] = new Shape($path, 'bag bag-lava');
            $this->view->words[] = \sprintf('Bags of lava, %s, lift the hill.', $this->units->show(Dimension::Volume, $bed->core));
        }
        if ($bed->bagged) {
            $path = '';
            for ($n = 0; $n < 7; ++$n) {
                $share = ($n + 0.5) / 7;
                $depth = max(0.004, $this->surface($bed->soilTop(...))($share) - $bed->plate);
                $path .= Pen::disc(
                    $frame->x($width * $share),
                    $frame->y($bed->plate + $depth / 2),
                    ($width * $frame->scale) / 14.5,
                    max(2.0, ($depth / 2.1) * $frame->scale),
                );
            }
            $this->view->front[] = new Shape($path, 'bag');
            $this->view->words[] = 'The soil is tied into mesh bags.';
        }
    }

    /** m above the floor of the bed's face where a thing stands. */
    private function ground(float $place, float $row): float
    {
        $bed = $this->plan->bed;
        $zone = $bed->zoneAt($place, $row);

        return match (true) {
            null !== $zone => $bed->top($zone),
            $this->side => $bed->at($row),
            default => $bed->meanDepth(),
        };
    }

    /** Stones and wood stand on the bed, each about as wide as it is high. */
    private function hardscape(): void
    {
        foreach ($this->plan->pieces as $piece) {
            $x = $this->frame->x(($this->side ? $piece->row : $piece->place) * $this->profile->width);
            $this->view->plants[] = new Shape(
                HardscapeFigure::draw(
                    new Pen($piece->id.$piece->kind->id),
                    $x,
                    $this->frame->y($this->ground($piece->place, $piece->row)),
                    $piece,
                    ($this->side ? $piece->broad() : $piece->long()) * $this->frame->scale,
                    $piece->tall() * $this->frame->scale,
                ),
                $piece->kind->wood ? 'wood' : 'stone',
            );
            $this->view->words[] = \sprintf('%s, %s.', $piece->kind->name, $this->units->show(Dimension::Volume, $piece->litres));
        }
    }

    private function plants(): void
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
            $ground = $this->perch($clump) ?? $this->ground(
                $this->side ? $clump->place : $at / $width,
                $this->side ? $at / $width : $clump->row,
            ) + $clump->raised;
            $room = max(0.01, $line - $ground);
            $height = $tall * $pen->between(0.78, 1.0);
            $height = PlantRole::Runner === $role || $clump->hasLeavesInAir() ? $height : min($height, $room * $pen->between(0.86, 0.97));
            array_push(
                $this->view->plants,
                ...PlantFigure::draw(
                    $role,
                    $clump->id.$n,
                    $this->frame->x($at),
                    $this->frame->y($ground),
                    $height * $this->frame->scale,
                    $this->frame->y($line),
                ),
            );
        }
    }

    /** m above the floor of the stone or wood that a plant is tied to; null where it stands in the bed. */
    private function perch(Clump $clump): ?float
    {
        $piece = $this->plan->pieceUnder($clump);

        return null === $piece ? null : $this->ground($piece->place, $piece->row) + 0.75 * $piece->tall();
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

    private function animals(): void
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
                $this->view->front[] = AnimalFigure::draw(
                    $group->kind->shape,
                    $this->frame->x($at),
                    $this->frame->y($height) - $lift,
                    $size,
                    $pen->between(0, 1) > 0.5 ? 1 : -1,
                );
            }
        }
    }

    /** Algae on the front pane: a speck for so much film; brown dust towards the bed. */
    private function film(): void
    {
        if ($this->side || $this->small) {
            return;
        }
        $pen = new Pen('film');
        $bed = $this->plan->bed->meanDepth();
        foreach (['film' => [$this->day->film, 0.0], 'film-brown' => [$this->day->brown, 0.5]] as $class => [$grams, $low]) {
            $path = '';
            for ($n = 0; $n < min(220, (int) round((70 * max(0.0, $grams - 0.15 * Alga::SHOWS)) / Alga::SHOWS)); ++$n) {
                $height = $bed + ($this->plan->waterLine - $bed) * $pen->between(0.0, 1.0 - $low);
                $half = $this->profile->at($height) / 2;
                // Thicker towards the panes' edges, where grazers and fingers reach last.
                $turn = $pen->between(-1, 1);
                $at = $this->profile->width / 2 + $half * 0.98 * abs($turn) ** 0.6 * ($turn < 0 ? -1 : 1);
                $path .= Pen::disc($this->frame->x($at), $this->frame->y($height), $size = $pen->between(0.8, 2.2), $size);
            }
            if ('' !== $path) {
                $this->view->front[] = new Shape($path, $class);
            }
        }
    }

    private function glass(): void
    {
        $vessel = $this->plan->vessel;
        $frame = $this->frame;
        $profile = $this->profile;
        $line = $frame->y($this->plan->waterLine);
        $middle = $frame->x($profile->width / 2);
        $water = ($profile->at($this->plan->waterLine) / 2) * $frame->scale;
        $this->view->front[] = new Shape(Pen::polyline($frame->placed($profile->wall())), 'glass');
        if ($vessel instanceof TiltedFlask) {
            $this->view->front[] = new Shape(
                Pen::disc($middle, $frame->y($vessel->radius()), $vessel->radius() * $frame->scale, $vessel->radius() * $frame->scale),
                'glass glass-far',
            );
        } elseif ($vessel->isRound() && !$this->side) {
            // Rim and water of a round vessel are seen a little from above.
            $this->view->front[] = new Shape(
                Pen::disc($middle, $frame->y($profile->height), ($profile->at($profile->height) / 2) * $frame->scale, self::ROUND),
                'glass glass-far',
            );
            $this->view->front[] = new Shape(Pen::disc($middle, $line, $water, self::ROUND), 'water-line');

            return;
        }
        foreach ($profile->isStraight() ? $vessel->outline()->edges($this->side) : [] as $edge) {
            $this->view->front[] = new Shape(
                Pen::line($frame->x($edge), $frame->y($profile->height), $frame->x($edge), $frame->floor),
                'glass glass-far',
            );
        }
        $this->view->front[] = new Shape(Pen::line($middle - $water, $line, $middle + $water, $line), 'water-line');
        if ($this->plan->site->lid || $this->plan->site->sealed) {
            $half = ($profile->at($profile->height) / 2) * $frame->scale + 3;
            $this->view->front[] = new Shape(
                Pen::line($middle - $half, $frame->y($profile->height) - 2, $middle + $half, $frame->y($profile->height) - 2),
                'lid',
            );
        }
    }

    private function frontMeasures(ClumpLight $light): void
    {
        $vessel = $this->plan->vessel;
        $frame = $this->frame;
        $line = $frame->y($this->plan->waterLine);
        $left = $frame->x(0) - 30;
        $this->across($this->length($vessel->outerLength()));
        $this->view->front[] = new Shape(
            Pen::line($left - 4, $frame->floor, $left + 4, $frame->floor).
                Pen::line($left, $frame->floor, $left, $line).
                Pen::line($left - 4, $line, $left + 4, $line),
            'dim-line',
        );
        $this->view->labels[] = new Label($left - 6, ($line + $frame->floor) / 2 + 4, $this->length($this->plan->waterLine), 'end');
        $this->view->labels[] = new Label($left - 6, ($line + $frame->floor) / 2 - 14, 'water', 'end', 'dim dim-faint');
        $gap = $this->plan->vessel->height() - $this->plan->waterLine;
        if ($gap > 0.004) {
            $this->view->labels[] = new Label(
                $left - 6,
                min($line - 6, ($line + $frame->y($vessel->height())) / 2 + 4),
                '↕ '.$this->length($gap),
                'end',
                'dim dim-faint',
            );
            $this->view->words[] = \sprintf('The rim stands %s over the water.', $this->length($gap));
        }
        $sun = $this->plan->site->daylight()->any();
        $shown = static fn (float $light): string => $sun ? Decimal::significant($light, 2) : Decimal::trimmed($light, 0);
        if ($light->surface > 0) {
            $x = $frame->x($vessel->length()) + 38;
            $bed = $frame->y($this->plan->bed->meanDepth());
            $this->view->labels[] = new Label($x, $line - 18, 'light', 'middle', 'dim dim-faint');
            $this->view->labels[] = new Label($x, $line + 4, $shown($light->surface), 'middle', 'light-number');
            $this->view->labels[] = new Label($x, $bed + 4, $shown($light->bed), 'middle', 'light-number');
            $this->view->front[] = new Shape(Pen::line($x, $line + 12, $x, $bed - 12), 'light-fall');
            $this->view->labels[] = new Label($x, $bed + 18, $sun ? 'mol/m² a day' : 'µmol/m²/s', 'middle', 'dim dim-faint');
            $this->view->words[] = \sprintf(
                'Light falls from %s at the surface to %s %s on the bed.',
                $shown($light->surface),
                $shown($light->bed),
                $sun ? 'moles per square metre and day' : 'micromoles per square metre and second',
            );
        }
    }

    private function sideMeasures(): void
    {
        $this->across($this->length($this->plan->vessel->outerWidth()));
        $this->view->labels[] = new Label($this->frame->x(0), $this->frame->floor + 24, 'front', 'start', 'dim dim-faint');
        $this->view->labels[] = new Label($this->frame->x($this->profile->width), $this->frame->floor + 24, 'back', 'end', 'dim dim-faint');
        $bed = $this->plan->bed;
        $shown = [[Side::Front, $this->frame->x(0) - 42, 'end'], [Side::Back, $this->frame->x($this->profile->width) + 42, 'start']];
        foreach ($shown as [$side, $x, $anchor]) {
            $soil = $bed->soil?->depth($side) ?? 0.0;
            $cap = $bed->cap?->depth($side) ?? 0.0;
            $soilY = $this->frame->y($bed->plate + $soil / 2) + 4;
            $capY = min($this->frame->y($bed->underCap($side) + $cap / 2) + 4, $soilY - 14);
            $this->view->labels[] = new Label($x, $soilY, $this->length($soil), $anchor, 'dim dim-soil');
            $this->view->labels[] = new Label($x, $capY, $this->length($cap), $anchor, 'dim dim-cap');
            $this->view->words[] = \sprintf(
                'At the %s %s of cap lie on %s of soil.',
                $side->value,
                $this->length($cap),
                $this->length($soil),
            );
        }
    }

    private function across(string $text): void
    {
        $y = $this->frame->floor + 10;
        $from = $this->frame->x(0);
        $to = $this->frame->x($this->profile->width);
        $this->view->front[] = new Shape(
            Pen::line($from, $y - 4, $from, $y + 4).Pen::line($from, $y, $to, $y).Pen::line($to, $y - 4, $to, $y + 4),
            'dim-line',
        );
        $this->view->labels[] = new Label(($from + $to) / 2, $y + 15, $text);
    }

    private function frontHandles(): void
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
        if ($this->hasLamp()) {
            $this->view->handles[] = Handle::of('light.height', 'lamp over the rim', 'grip')
                ->at($frame->x($plan->vessel->length() * 0.88) + 12, $frame->y($rim + $plan->lamp->height) - 3)
                ->along(Axis::Up, per: -$scale, step: 2 * $half)
                ->from($plan->lamp->height, 0.0, $this->headroom() - 0.005)
                ->in($this->units);
        }
        foreach ($plan->clumps as $clump) {
            $this->peg("plants.$clump->id.place", $clump->kind->common, $clump->place, 'peg');
        }
        foreach ($plan->pieces as $piece) {
            $this->peg("hardscape.$piece->id.place", $piece->kind->name, $piece->place, 'peg peg-stone');
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

    private function sideHandles(): void
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

    private function length(float $metres): string
    {
        return $this->units->show(Dimension::Length, $metres);
    }
}
