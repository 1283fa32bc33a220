<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Nature\Bed\Side;

/** Lengths, depths and light beside an elevation. */
final readonly class ElevationMeasures extends ElevationPainter
{
    public function frontMeasures(ClumpLight $light): void
    {
        $vessel = $this->plan->vessel;
        $frame = $this->frame;
        $line = $frame->y($this->plan->waterLine);
        $left = $frame->x(0) - 30;
        $this->across($this->canvas->length($vessel->outerLength()));
        $this->view->front[] = new Shape(
            Pen::line($left - 4, $frame->floor, $left + 4, $frame->floor).
                Pen::line($left, $frame->floor, $left, $line).
                Pen::line($left - 4, $line, $left + 4, $line),
            'dim-line',
        );
        $this->view->labels[] = new Label($left - 6, ($line + $frame->floor) / 2 + 4, $this->canvas->length($this->plan->waterLine), 'end');
        $this->view->labels[] = new Label($left - 6, ($line + $frame->floor) / 2 - 14, 'water', 'end', 'dim dim-faint');
        $gap = $this->plan->vessel->height() - $this->plan->waterLine;
        if ($gap > 0.004) {
            $this->view->labels[] = new Label(
                $left - 6,
                min($line - 6, ($line + $frame->y($vessel->height())) / 2 + 4),
                '↕ '.$this->canvas->length($gap),
                'end',
                'dim dim-faint',
            );
            $this->view->words[] = \sprintf('The rim stands %s over the water.', $this->canvas->length($gap));
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

    public function sideMeasures(): void
    {
        $this->across($this->canvas->length($this->plan->vessel->outerWidth()));
        $this->view->labels[] = new Label($this->frame->x(0), $this->frame->floor + 24, 'front', 'start', 'dim dim-faint');
        $this->view->labels[] = new Label($this->frame->x($this->profile->width), $this->frame->floor + 24, 'back', 'end', 'dim dim-faint');
        $bed = $this->plan->bed;
        $shown = [[Side::Front, $this->frame->x(0) - 42, 'end'], [Side::Back, $this->frame->x($this->profile->width) + 42, 'start']];
        foreach ($shown as [$side, $x, $anchor]) {
            $soil = $bed->soil?->depth($side) ?? 0.0;
            $cap = $bed->cap?->depth($side) ?? 0.0;
            $soilY = $this->frame->y($bed->plate + $soil / 2) + 4;
            $capY = min($this->frame->y($bed->underCap($side) + $cap / 2) + 4, $soilY - 14);
            $this->view->labels[] = new Label($x, $soilY, $this->canvas->length($soil), $anchor, 'dim dim-soil');
            $this->view->labels[] = new Label($x, $capY, $this->canvas->length($cap), $anchor, 'dim dim-cap');
            $this->view->words[] = \sprintf(
                'At the %s %s of cap lie on %s of soil.',
                $side->value,
                $this->canvas->length($cap),
                $this->canvas->length($soil),
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
}
