<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Light\Aspect;

/** Lamp and daylight of an elevation. */
final readonly class ElevationLight extends ElevationPainter
{
    public function lamp(): void
    {
        if ($this->plan->site->daylight()->any() && !$this->side) {
            $this->sun();
        }
        if (!$this->canvas->hasLamp() || $this->side) {
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
            $this->canvas->stratum(fn (): float => $this->plan->bed->meanDepth(), static fn (): float => $line),
            'light-water',
        );
        $this->view->front[] = new Shape(Pen::rectangle($frame->x(0.12 * $w), $lamp - 7, 0.76 * $w * $frame->scale, 7), 'lamp');
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
        if (!$this->canvas->hasLamp()) {
            $this->view->back[] = new Shape(
                $this->canvas->stratum(fn (): float => $this->plan->bed->meanDepth(), fn (): float => $this->plan->waterLine),
                'light-water',
            );
        }
    }
}
