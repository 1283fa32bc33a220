<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Vessel\TiltedFlask;
use Olvek\Core\Simulation\Run\Alga;

/** Water and panes of an elevation: what is within the glass, its surface, the rim, and the film on the front pane. */
final readonly class ElevationWater extends ElevationPainter
{
    /** Half height of the ellipse by which round vessels show. */
    private const ROUND = 6.0;
    /** Tannin (mg C/L) and green water (mg dry/L) at which the water is painted half over. */
    private const BROWN_WATER = 15.0;
    private const GREEN_WATER = 40.0;

    /** Where plants may show: between the panes, and in the air above the rim; never outside the drawing. */
    public function clip(): void
    {
        $wall = $this->profile->wall();
        $rim = [[$wall[\count($wall) - 1][0], $this->profile->height], [$wall[0][0], $this->profile->height]];
        $frame = $this->frame;
        $this->view->clip =
            Pen::polygon($frame->placed($wall)).
            Pen::polygon([[$frame->x($rim[1][0]), 0.0], [$frame->x($rim[0][0]), 0.0], ...$frame->placed($rim)]);
    }

    public function water(): void
    {
        $level = fn (): float => $this->plan->waterLine;
        $body = $this->canvas->stratum(static fn (): float => 0.0, $level);
        $this->view->back[] = new Shape($body, 'water');
        $shown = ['water-brown' => $this->day->tannin / self::BROWN_WATER, 'water-green' => $this->day->green / self::GREEN_WATER];
        foreach ($shown as $class => $share) {
            if ($share > 0.04) {
                $this->view->back[] = new Shape($body, \sprintf('%s tint-%d', $class, min(5, 1 + (int) (5 * $share))));
            }
        }
    }

    /** Algae on the front pane: a speck for so much film; brown dust towards the bed. */
    public function film(): void
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

    public function glass(): void
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
}
