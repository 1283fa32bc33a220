<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\PlantedShare;
use Olvek\Core\Judgement\Margin\ShadeMap;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;

/** The tank from above, front below: where clumps and stones stand, how far they reach, and how light lies between them. */
final class FloorPlan
{
    private const WIDTH = 600.0;
    private const HEIGHT = 300.0;
    private const EDGE = 8.0;
    private const LEFT = 60.0;
    /** Steps of shade that are told apart. */
    private const SHADES = 6;
    /** Cells of the shade map along the front and across. */
    private const COLUMNS = 28;
    private const ROWS = 12;
    /** Thirds of the floor from front to back. C. */
    private const ZONES = ['fore', 'mid', 'back'];
    /** Share of the floor along the panes that counts as its edge. J. */
    private const RIM = 0.06;

    private readonly View $view;
    private readonly Frame $frame;

    private function __construct(private readonly Plan $plan, private readonly Snapshot $day, private readonly UnitSystem $units)
    {
        $length = $plan->vessel->length();
        $width = $plan->vessel->width();
        $scale = min((self::WIDTH - self::LEFT - self::EDGE) / $length, (self::HEIGHT - 2 * self::EDGE) / $width);
        $this->frame = new Frame(
            self::LEFT + (self::WIDTH - self::LEFT - self::EDGE - $length * $scale) / 2,
            self::HEIGHT - self::EDGE - (self::HEIGHT - 2 * self::EDGE - $width * $scale) / 2,
            $scale,
        );
        $this->view = new View('floor', 'The floor from above', self::WIDTH, self::HEIGHT);
        $this->view->floor = [
            'left' => $this->frame->x(0.0),
            'right' => $this->frame->x($length),
            'front' => $this->frame->y(0.0),
            'back' => $this->frame->y($width),
        ];
    }

    public static function of(Plan $plan, Snapshot $day, UnitSystem $units): View
    {
        $drawing = new self($plan, $day, $units);
        $drawing->ground();
        foreach ($plan->bed->zones as $zone) {
            $drawing->bedZone($zone);
        }
        $drawing->pieces();
        foreach ($plan->clumps as $i => $clump) {
            $drawing->clump($clump, $i);
        }
        $drawing->zones();

        return $drawing->view;
    }

    private function ground(): void
    {
        $frame = $this->frame;
        $vessel = $this->plan->vessel;
        $length = $vessel->length() * $frame->scale;
        $width = $vessel->width() * $frame->scale;
        $outline = Pen::polygon($frame->placed($vessel->outline()->points));
        $this->view->clip = $outline;
        $this->view->plants[] = new Shape(
            $outline,
            null === $this->plan->bed->cap ? (null === $this->plan->bed->soil ? 'water' : 'soil') : 'cap',
        );
        $shade = ShadeMap::of($this->plan, $this->day, self::COLUMNS, self::ROWS);
        $paths = [];
        foreach ($shade->light as $row => $cells) {
            foreach ($cells as $column => $light) {
                $step = null !== $light && $shade->most > 0 ? (int) floor((1 - $light / $shade->most) * self::SHADES) : 0;
                if ($step > 0) {
                    $paths[min($step, self::SHADES - 1)][] = Pen::rectangle(
                        $frame->left + ($column * $length) / self::COLUMNS,
                        $frame->floor - (($row + 1) * $width) / self::ROWS,
                        $length / self::COLUMNS + 0.3,
                        $width / self::ROWS + 0.3,
                    );
                }
            }
        }
        ksort($paths);
        foreach ($paths as $step => $cells) {
            $this->view->plants[] = new Shape(implode('', $cells), "shade shade-$step");
        }
        foreach ($this->plan->bed->zones as $zone) {
            $place = Pen::rectangle(
                $frame->x($zone->left * $vessel->length()),
                $frame->y($zone->back * $vessel->width()),
                ($zone->right - $zone->left) * $length,
                ($zone->back - $zone->front) * $width,
            );
            $this->view->plants[] = new Shape($place, 0.0 === $zone->soil ? 'zone zone-bare' : 'zone');
            $this->view->plants[] = new Shape($place, 'zone-line');
        }
        $setback = $this->plan->bed->setback;
        if ($setback > 0) {
            $this->view->plants[] = new Shape(
                Pen::line($frame->left, $frame->y($setback), $frame->left + $length, $frame->y($setback)),
                'zone-line',
            );
        }
        $this->view->front[] = new Shape($outline, 'glass glass-far');
        $lights = [$shade->most, ...array_filter(array_merge(...$shade->light), static fn (?float $light): bool => null !== $light)];
        $this->view->words[] = \sprintf(
            'On the bed light lies from %s to %s %s.',
            Decimal::significant(min($lights), 2),
            Decimal::significant($shade->most, 2),
            $this->plan->site->daylight()->any() ? 'moles per square metre and day' : 'micromoles per square metre and second',
        );
    }

    private function pieces(): void
    {
        $frame = $this->frame;
        foreach ($this->plan->pieces as $piece) {
            [$half, $deep] = $piece->isMeasured()
                ? [($piece->long() / 2) * $frame->scale, ($piece->broad() / 2) * $frame->scale]
                : [0.6 * $piece->long() * $frame->scale, 0.48 * $piece->broad() * $frame->scale];
            $x = $frame->x($piece->place * $this->plan->vessel->length());
            $y = $frame->y($piece->row * $this->plan->vessel->width());
            $this->view->plants[] = new Shape(
                Pen::disc($x, $y, max(4.0, $half), max(3.0, $deep)),
                $piece->kind->wood ? 'wood' : 'stone',
            );
            $this->view->handles[] = $this->mover("hardscape.$piece->id", $piece->kind->name, $x, $y, $piece->place, $piece->row);
        }
    }

    private function clump(Clump $clump, int $index): void
    {
        $frame = $this->frame;
        $x = $frame->x($clump->place * $this->plan->vessel->length());
        $y = $frame->y($clump->row * $this->plan->vessel->width());
        $planted = sqrt($clump->area() / \M_PI) * $frame->scale;
        $now = sqrt($this->day->spread($this->plan, $index) / \M_PI) * $frame->scale;
        $role = $clump->kind->role;
        if ($now > 0) {
            $this->view->plants[] = new Shape(
                $this->tuft($clump, $x, $y, max(3.0, $now)),
                ($clump->hasLeavesInAir() || PlantRole::FloatingStem === $role ? 'clump clump-surface' : 'clump')
                    .' leaf-'.$clump->kind->look->colour->value,
            );
            array_push($this->view->plants, ...TopFigure::draw($clump->kind, $clump->id, $clump->pieces, $x, $y, max(3.0, $now)));
        }
        $this->view->plants[] = new Shape(Pen::disc($x, $y, max(3.0, $planted), max(3.0, $planted)), 'clump-planted');
        $this->view->handles[] = $this->mover(
            "plants.$clump->id",
            $clump->kind->common.', '.$this->zone($clump),
            $x,
            $y,
            $clump->place,
            $clump->row,
        );
        // Its rim is as far out as so many pieces reach: pieces by distance, at the size that they have now.
        $each = $clump->kind->spread->value / 1e4;
        $perPiece = ($each * $frame->scale ** 2) / (2 * \M_PI * max(4.0, $planted));
        $this->view->handles[] = Handle::of("plants.$clump->id.pieces", $clump->kind->common.', pieces', 'edge')
            ->at(min(self::WIDTH - self::EDGE, $x + max(9.0, $planted)), $y)
            ->along(Axis::Across, per: $perPiece, step: 1.0)
            ->from((float) $clump->pieces, 1.0, (float) max(2 * $clump->pieces, 40))
            ->in($this->units, 'floor-');
    }

    /** Where in the tank a clump stands, in the trade's words. */
    private function zone(Clump $clump): string
    {
        $role = $clump->kind->role;

        return match (true) {
            $role->coversSurface() || PlantRole::FloatingStem === $role => 'on the surface',
            PlantRole::HousePlant === $role || max($clump->row, $clump->place, 1 - $clump->place) > 1 - self::RIM => 'at the edge',
            null !== $this->plan->pieceUnder($clump) => 'on stone or wood',
            default => self::ZONES[min(2, (int) ($clump->row * \count(self::ZONES)))],
        };
    }

    /** A clump from above: a ragged ring, the same every time. */
    private function tuft(Clump $clump, float $x, float $y, float $radius): string
    {
        $pen = new Pen($clump->id.$clump->kind->id.'top');
        $points = [];
        $corners = 22;
        for ($n = 0; $n < $corners; ++$n) {
            $reach = $radius * (0 === $n % 2 ? $pen->between(0.95, 1.12) : $pen->between(0.7, 0.88));
            $points[] = [$x + $reach * cos((2 * \M_PI * $n) / $corners), $y + $reach * sin((2 * \M_PI * $n) / $corners)];
        }

        return Pen::polygon($points);
    }

    /** A part of the floor whose bed is another, with a handle at its near left corner and one at its far right. */
    private function bedZone(BedZone $zone): void
    {
        $vessel = $this->plan->vessel;
        $x = fn (float $share): float => $this->frame->x($share * $vessel->length());
        $y = fn (float $share): float => $this->frame->y($share * $vessel->width());
        $this->view->plants[] = new Shape(
            Pen::rectangle($x($zone->left), $y($zone->back), $x($zone->right) - $x($zone->left), $y($zone->front) - $y($zone->back)),
            'zone-plan',
        );
        $words = $zone->purpose->words();
        foreach ([['left', 'front', 'near left corner'], ['right', 'back', 'far right corner']] as [$along, $across, $corner]) {
            [$atX, $atY] = 'left' === $along ? [$x($zone->left), $y($zone->front)] : [$x($zone->right), $y($zone->back)];
            $this->view->handles[] = $this->corner("zones.$zone->id", $along, $across, "$words, $corner", $atX, $atY, $zone);
        }
        $this->view->words[] = \sprintf(
            '%s from %s to %s %% of the length.',
            Words::capital($words),
            Decimal::trimmed(100 * $zone->left, 0),
            Decimal::trimmed(100 * $zone->right, 0),
        );
    }

    private function corner(string $at, string $along, string $across, string $name, float $x, float $y, BedZone $zone): Handle
    {
        $vessel = $this->plan->vessel;
        $of = ['left' => $zone->left, 'right' => $zone->right, 'front' => $zone->front, 'back' => $zone->back];
        $wide = $vessel->length() * $this->frame->scale;
        $deep = -$vessel->width() * $this->frame->scale;

        return Handle::of("$at.$along", $name, 'knob knob-zone')
            ->at($x, $y)
            ->along(Axis::Across, per: $wide, step: 1.0)
            ->from($of[$along], 0.0, 1.0)
            ->in($this->units, 'floor-')->with(
                Handle::of("$at.$across", $name, 'knob')
                    ->at($x, $y)
                    ->along(Axis::Up, per: $deep, step: 1.0)
                    ->from($of[$across], 0.0, 1.0)
                    ->in($this->units),
            );
    }

    private function mover(string $place, string $name, float $x, float $y, float $along, float $across): Handle
    {
        $scale = $this->frame->scale;

        return Handle::of("$place.place", $name, 'knob knob-clump')
            ->at($x, $y)
            ->along(Axis::Across, per: $this->plan->vessel->length() * $scale, step: 1.0)
            ->from($along, 0.0, 1.0)
            ->in($this->units, 'floor-')->with(
                Handle::of("$place.row", $name, 'knob')
                    ->at($x, $y)
                    ->along(Axis::Up, per: -$this->plan->vessel->width() * $scale, step: 1.0)
                    ->from($across, 0.0, 1.0)
                    ->in($this->units),
            );
    }

    private function zones(): void
    {
        $depth = $this->plan->vessel->width() / \count(self::ZONES);
        foreach (self::ZONES as $n => $name) {
            $this->view->labels[] = new Label(
                $this->frame->left - 6,
                $this->frame->y(($n + 0.5) * $depth) + 4,
                $name,
                'end',
                'dim dim-faint',
            );
            if ($n > 0) {
                $edge = $this->frame->y($n * $depth);
                $this->view->back[] = new Shape(Pen::line($this->frame->left - 5, $edge, $this->frame->left, $edge), 'dim-line');
            }
        }
        $this->view->words[] = \sprintf('%s %% of the floor is planted.', Decimal::trimmed(100 * PlantedShare::of($this->plan), 0));
    }
}
