<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Side;

/** The bed of an elevation, layer by layer, with its zones, pots and bags. */
final readonly class ElevationBed extends ElevationPainter
{
    public function bed(): void
    {
        $bed = $this->plan->bed;
        $zero = static fn (): float => 0.0;
        $plate = static fn (): float => $bed->plate;
        $top = $this->canvas->surface($bed->depth(...));
        $soil = $this->canvas->surface($bed->soilTop(...));
        $leaves = $this->canvas->surface($bed->underCap(...));
        if (!$this->side && $bed->depth(Side::Back) > $bed->meanDepth()) {
            $this->view->back[] = new Shape($this->canvas->stratum($zero, static fn (): float => $bed->depth(Side::Back)), 'cap-far');
        }
        $this->view->front[] = new Shape($this->canvas->stratum($plate, $top), 'cap');
        if (null !== $bed->leaves) {
            $this->view->front[] = new Shape($this->canvas->stratum($soil, $leaves), 'litter');
        }
        if (null !== $bed->soil) {
            $this->view->front[] = new Shape(
                $this->canvas->stratum(
                    $this->canvas->surface($bed->underSoil(...)),
                    $soil,
                    $this->side ? min(1.0, $bed->setback / $this->profile->width) : 0.0,
                ),
                'soil',
            );
            $this->bags($bed);
        }
        if (null !== $bed->base) {
            $this->view->front[] = new Shape($this->canvas->stratum($plate, $this->canvas->surface($bed->underSoil(...))), 'base');
        }
        if (null !== $bed->dressing) {
            $this->view->front[] = new Shape($this->canvas->stratum($this->canvas->surface($bed->capTop(...)), $top), 'dressing');
        }
        $this->zones($bed);
        if ($bed->plate > 0) {
            [$from, $to] = $this->side ? [0.0, 1.0] : [$bed->plateFrom, $bed->plateTo];
            $this->view->front[] = new Shape($this->canvas->stratum($zero, $plate, $from, $to), 'void');
            $this->view->front[] = new Shape(
                Pen::line(
                    $this->frame->x($from * $this->profile->width),
                    $this->frame->y($bed->plate),
                    $this->frame->x($to * $this->profile->width),
                    $this->frame->y($bed->plate),
                ),
                'plate',
            );
            $this->view->words[] = \sprintf('A plate with %s of water under it.', $this->canvas->length($bed->plate));
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
                $this->view->front[] = new Shape($this->canvas->stratum($under, $bed->meanDepth(...), $from, $to), 'cap');
            }
            $this->view->front[] = new Shape($this->canvas->stratum($under, $top, $from, $to), 'cap zone-cap');
            if ($zone->soil > 0) {
                $this->view->front[] = new Shape($this->canvas->stratum($under, $soil, $from, $to), 'soil');
            }
            $this->view->front[] = new Shape($this->canvas->stratum($top, $top, $from, $to), 'zone-line');
            $this->view->words[] = \sprintf(
                '%s: %s of soil, %s of cap, held by %s.',
                Words::capital($zone->purpose->words()),
                $this->canvas->length($zone->soil),
                $this->canvas->length($zone->cap),
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
                $depth = max(0.004, $this->canvas->surface($bed->soilTop(...))($share) - $bed->plate);
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
}
