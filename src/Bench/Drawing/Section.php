<?php

declare(strict_types=1);

namespace Olvek\Bench\Drawing;

use Olvek\Core\Animal\Level;
use Olvek\Core\Animal\Shape as Form;
use Olvek\Core\Bed\Side;
use Olvek\Core\Margin\ClumpLight;
use Olvek\Core\Plan\Clump;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plant\Growth;
use Olvek\Core\Plant\Role;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Vessel\TiltedFlask;

/**
 * The tank to scale, twice side by side at one scale: seen from the front, cut through the bed's middle, and cut from
 * front to back, where the slope shows. Drawing units are constant, so letters keep their size for every tank.
 */
final class Section
{
    private const WIDTH = 920.0;
    private const HEIGHT = 400.0;
    private const LEFT = 70.0;
    private const GAP = 92.0;
    private const RIGHT = 64.0;
    private const ABOVE = 62.0;
    private const BELOW = 36.0;
    /** Half height of the ellipse by which round vessels show. */
    private const ROUND = 6.0;
    /** Most figures drawn of one clump or group; more would only blur. */
    private const MOST_FIGURES = 16;
    private const FEW_FIGURES = 6;

    /** @var list<Shape> */
    public array $back = [];
    /** @var list<Shape> plants, to be clipped to the vessel */
    public array $plants = [];
    /** @var list<Shape> */
    public array $front = [];
    /** @var list<Label> */
    public array $labels = [];
    /** @var list<string> what the drawing shows, for those who cannot see it */
    public array $words = [];

    private float $scale;
    private float $left;
    private float $floor;
    private float $sideLeft;

    private function __construct(
        private readonly Plan $plan,
        private readonly ClumpLight $light,
        private readonly UnitSystem $units,
        private readonly float $day,
        private readonly int $mostFigures = self::MOST_FIGURES,
        private readonly bool $frontOnly = false,
    ) {
        $vessel = $plan->vessel;
        $this->scale = min(
            (self::WIDTH - self::LEFT - self::GAP - self::RIGHT) / ($vessel->length() + $vessel->width()),
            (self::HEIGHT - self::ABOVE - self::BELOW) / $vessel->height(),
        );
        $used = ($vessel->length() + $vessel->width()) * $this->scale + self::GAP;
        $this->left = self::LEFT + max(0.0, (self::WIDTH - self::LEFT - self::RIGHT - $used) / 2);
        $this->floor = self::HEIGHT - self::BELOW;
        $this->sideLeft = $this->left + $vessel->length() * $this->scale + self::GAP;
    }

    public static function of(Plan $plan, ClumpLight $light, UnitSystem $units, float $day): self
    {
        $section = new self($plan, $light, $units, $day);
        $section->draw();
        $section->dimensions();

        return $section;
    }

    /** The front view alone, small, without words: for the shelf. */
    public static function thumbnail(Plan $plan, ClumpLight $light): self
    {
        $section = new self($plan, $light, UnitSystem::Metric, 60.0, self::FEW_FIGURES, true);
        $section->draw();

        return $section;
    }

    private function draw(): void
    {
        $this->water();
        $this->lamp();
        $this->bed();
        $this->hardscape();
        $this->plants();
        $this->animals();
        $this->glass();
    }

    /** Where plants may show: between the panes, and in the air above the rim. */
    public function clip(): string
    {
        $top = 0.0;

        $path = '';
        foreach ($this->views() as [$x, $profile]) {
            $wall = $profile->wall();
            $rim = [[$wall[\count($wall) - 1][0], $profile->height], [$wall[0][0], $profile->height]];
            $path .= Pen::polygon($this->placed($x, $wall)).Pen::polygon([[$x + $rim[1][0] * $this->scale, $top], [$x + $rim[0][0] * $this->scale, $top], ...$this->placed($x, $rim)]);
        }

        return $path;
    }

    public function viewBox(): string
    {
        return \sprintf('0 %s %d %s', Pen::n($this->top()), self::WIDTH, Pen::n(self::HEIGHT - $this->top()));
    }

    public function frontViewBox(): string
    {
        $width = $this->plan->vessel->length() * $this->scale;
        $top = $this->y($this->plan->vessel->height()) - 34;

        return \sprintf('%s %s %s %s', Pen::n($this->left - 8), Pen::n($top), Pen::n($width + 16), Pen::n($this->floor - $top + 10));
    }

    /** The front view with its measures, for narrow screens. */
    public function frontBox(): string
    {
        return $this->box($this->left - 84, $this->sideLeft - 4);
    }

    /** The cut from front to back with its measures, for narrow screens. */
    public function sideBox(): string
    {
        return $this->box($this->sideLeft - 4, $this->side($this->plan->vessel->width()) + self::RIGHT);
    }

    /** Width of the side view to that of the front view, percent: both keep one scale. */
    public function sideShare(): string
    {
        return Pen::n(min(100.0, 100 * ($this->side($this->plan->vessel->width()) + self::RIGHT - $this->sideLeft + 4) / ($this->sideLeft - $this->left + 80)));
    }

    private function box(float $from, float $to): string
    {
        return \sprintf('%s %s %s %s', Pen::n($from), Pen::n($this->top()), Pen::n($to - $from), Pen::n(self::HEIGHT - $this->top()));
    }

    /** Room above the rim for the lamp, and for plants that grow out of the water. */
    private function top(): float
    {
        return $this->y($this->plan->vessel->height()) - self::ABOVE + 18;
    }

    private function x(float $metres): float
    {
        return $this->left + $metres * $this->scale;
    }

    private function side(float $metres): float
    {
        return $this->sideLeft + $metres * $this->scale;
    }

    private function y(float $metres): float
    {
        return $this->floor - $metres * $this->scale;
    }

    /** @return list<array{float, Profile}> left edge and profile of each view */
    private function views(): array
    {
        $front = [$this->x(0), Profile::front($this->plan->vessel)];

        return $this->frontOnly ? [$front] : [$front, [$this->side(0), Profile::side($this->plan->vessel)]];
    }

    /**
     * @param list<array{float, float}> $points m from a view's left edge, m above the bottom
     *
     * @return list<array{float, float}> in drawing units
     */
    private function placed(float $left, array $points): array
    {
        return array_map(fn (array $p): array => [$left + $p[0] * $this->scale, $this->y($p[1])], $points);
    }

    /**
     * What lies within the vessel between two surfaces, each given as a height (m) at a share (0–1) of the way across.
     *
     * @param \Closure(float): float $low
     * @param \Closure(float): float $high
     */
    private function stratum(float $left, Profile $profile, \Closure $low, \Closure $high): string
    {
        $above = $below = [];
        foreach ($profile->stations() as $station) {
            $share = $station / $profile->width;
            $bottom = $profile->bottom($station);
            $top = $profile->top($station);
            $above[] = [$station, max($bottom, min($top, $high($share)))];
            array_unshift($below, [$station, max($bottom, min($top, $low($share)))]);
        }

        return Pen::polygon($this->placed($left, [...$above, ...$below]));
    }

    private function water(): void
    {
        foreach ($this->views() as [$x, $profile]) {
            $this->back[] = new Shape($this->stratum($x, $profile, static fn (): float => 0.0, fn (): float => $this->plan->waterLine), 'water');
        }
    }

    private function lamp(): void
    {
        if ($this->plan->lamp->lumens <= 0 || $this->plan->lamp->hours <= 0) {
            return;
        }
        $rim = $this->y($this->plan->vessel->height());
        $line = $this->y($this->plan->waterLine);
        foreach ($this->views() as [$x, $profile]) {
            $w = $profile->width * $this->scale;
            $open = $profile->at($this->plan->waterLine) * $this->scale;
            $edge = $x + ($w - $open) / 2;
            $top = $rim - 22;
            $this->back[] = new Shape(Pen::polygon([[$x + $w * 0.14, $top], [$x + $w * 0.86, $top], [$edge + $open, $line], [$edge, $line]]), 'light-air');
            $this->back[] = new Shape($this->stratum($x, $profile, fn (): float => $this->plan->bed->meanDepth(), fn (): float => $this->plan->waterLine), 'light-water');
            $this->front[] = new Shape(Pen::rectangle($x + $w * 0.12, $top - 7, $w * 0.76, 7), 'lamp');
        }
    }

    private function bed(): void
    {
        $bed = $this->plan->bed;
        $soil = $bed->soil?->meanDepth() ?? 0.0;
        $level = static fn (float $height): \Closure => static fn (): float => $height;
        $front = Profile::front($this->plan->vessel);
        if ($bed->depth(Side::Back) > $bed->meanDepth()) {
            $this->back[] = new Shape($this->stratum($this->x(0), $front, $level(0.0), $level($bed->depth(Side::Back))), 'cap-far');
        }
        $this->front[] = new Shape($this->stratum($this->x(0), $front, $level($soil), $level($bed->meanDepth())), 'cap');
        $this->front[] = new Shape($this->stratum($this->x(0), $front, $level(0.0), $level($soil)), 'soil');
        if ($this->frontOnly) {
            return;
        }
        $slope = static fn (float $from, float $to): \Closure => static fn (float $share): float => $from + ($to - $from) * $share;
        $soils = $slope($bed->soil?->depth(Side::Front) ?? 0.0, $bed->soil?->depth(Side::Back) ?? 0.0);
        $side = Profile::side($this->plan->vessel);
        $this->front[] = new Shape($this->stratum($this->side(0), $side, $soils, $slope($bed->depth(Side::Front), $bed->depth(Side::Back))), 'cap');
        $this->front[] = new Shape($this->stratum($this->side(0), $side, $level(0.0), $soils), 'soil');
    }

    /** Stones and wood stand on the bed, each about as wide as it is high. */
    private function hardscape(): void
    {
        $bed = $this->plan->bed;
        foreach ($this->plan->pieces as $piece) {
            $pen = new Pen($piece->id.$piece->kind->id);
            $size = ($piece->litres / 1000) ** (1 / 3);
            $views = [[$this->x($piece->place * $this->plan->vessel->length()), $bed->meanDepth()]];
            if (!$this->frontOnly) {
                $views[] = [$this->side($piece->row * $this->plan->vessel->width()), $bed->depth(Side::Front) + ($bed->depth(Side::Back) - $bed->depth(Side::Front)) * $piece->row];
            }
            foreach ($views as [$x, $ground]) {
                $this->plants[] = new Shape(HardscapeFigure::draw($piece->kind->wood, $pen, $x, $this->y($ground), $size * $this->scale), $piece->kind->wood ? 'wood' : 'stone');
            }
            $this->words[] = \sprintf('%s, %s.', $piece->kind->name, $this->units->show(Dimension::Volume, $piece->litres));
        }
    }

    private function plants(): void
    {
        $clumps = $this->plan->clumps;
        usort($clumps, static fn (Clump $a, Clump $b): int => $b->kind->height->value <=> $a->kind->height->value);
        foreach ($clumps as $clump) {
            $this->clump($clump);
        }
    }

    private function clump(Clump $clump): void
    {
        $role = $clump->kind->role;
        $length = $this->plan->vessel->length();
        $width = $this->plan->vessel->width();
        $count = min($this->mostFigures, $clump->pieces);
        // A clump is drawn half again as long as it is deep, within the glass.
        $span = min($length, max(sqrt($clump->area() * 1.5), $clump->area() / $width));
        $deep = min($width, $clump->area() / max($span, 1e-6));
        $start = max(0.0, min($length - $span, $clump->place * $length - $span / 2));
        $zone = $this->zone($clump, $width, $deep);
        $pen = new Pen($clump->id.$clump->kind->id);
        $ceiling = $this->y($this->plan->waterLine);
        $fresh = Growth::shareAlive($clump->kind, $this->day);
        for ($n = 0; $n < $count; ++$n) {
            $at = $start + $span * ($n + 0.5) / $count + $pen->between(-0.2, 0.2) * $span / $count;
            $tall = $clump->kind->height->value * $pen->between(0.72, 1.0) * (0.5 + 0.5 * $fresh);
            $room = max(0.01, $this->plan->waterLine - $this->plan->bed->meanDepth());
            $drawn = Role::Runner === $role || $role->hasLeavesInAir() ? $tall : min($tall, $room * $pen->between(0.86, 0.97));
            $figure = PlantFigure::draw($role, $clump->id.$n, $this->x($at), $this->y($this->plan->bed->meanDepth()), $drawn * $this->scale, $ceiling);
            array_push($this->plants, ...$figure);
            if (0 === $n % 3 && !$this->frontOnly) {
                $z = $zone + $pen->between(-0.4, 0.4) * $deep;
                $z = max(0.02, min($width - 0.02, $z));
                $ground = $this->plan->bed->depth(Side::Front) + ($this->plan->bed->depth(Side::Back) - $this->plan->bed->depth(Side::Front)) * $z / $width;
                array_push($this->plants, ...PlantFigure::draw($role, $clump->id.'s'.$n, $this->side($z), $this->y($ground), min($drawn, max(0.01, $this->plan->waterLine - $ground)) * $this->scale, $ceiling));
            }
        }
        $this->words[] = \sprintf('%d %s of %s, %s %% along the front.', $clump->pieces, $clump->kind->piece.(1 === $clump->pieces ? '' : 's'), $clump->kind->common, Decimal::trimmed($clump->place * 100, 0));
    }

    /** m from the front pane at which a clump stands. */
    private function zone(Clump $clump, float $width, float $deep): float
    {
        return max($deep / 2, min($width - $deep / 2, $clump->row * $width));
    }

    private function animals(): void
    {
        $bed = $this->plan->bed->meanDepth();
        $water = $this->plan->waterLine - $bed;
        foreach ($this->plan->groups as $group) {
            $pen = new Pen($group->id.$group->kind->id);
            $size = max(9.0, AnimalFigure::length($group->kind) * $this->scale);
            for ($n = 0; $n < min($this->mostFigures, $group->count); ++$n) {
                [$low, $high] = match ($group->kind->level) {
                    Level::Top => [0.72, 0.93],
                    Level::Middle => [0.3, 0.75],
                    Level::Bottom => [0.0, 0.0],
                };
                $lift = Level::Bottom === $group->kind->level ? (Form::Snail === $group->kind->shape ? 0.3 : 0.25) * $size : 0.0;
                $shape = AnimalFigure::draw($group->kind->shape, $this->x($this->plan->vessel->length() * $pen->between(0.05, 0.95)), $this->y($bed + $water * $pen->between($low, $high)) - $lift, $size, $pen->between(0, 1) > 0.5 ? 1 : -1);
                $this->front[] = $shape;
            }
            $this->words[] = \sprintf('%d %s.', $group->count, $group->kind->common);
        }
    }

    private function glass(): void
    {
        $vessel = $this->plan->vessel;
        $line = $this->y($this->plan->waterLine);
        foreach ($this->views() as [$x, $profile]) {
            $middle = $x + $profile->width / 2 * $this->scale;
            $half = static fn (float $across, float $scale): float => $across / 2 * $scale;
            $this->front[] = new Shape(Pen::polyline($this->placed($x, $profile->wall())), 'glass');
            $water = $half($profile->at($this->plan->waterLine), $this->scale);
            if ($vessel instanceof TiltedFlask) {
                $this->front[] = new Shape(Pen::disc($middle, $this->y($vessel->radius()), $vessel->radius() * $this->scale, $vessel->radius() * $this->scale), 'glass glass-far');
            } elseif ($vessel->isRound()) {
                // Rim and water of a round vessel are seen a little from above.
                $this->front[] = new Shape(Pen::disc($middle, $this->y($profile->height), $half($profile->at($profile->height), $this->scale), self::ROUND), 'glass glass-far');
                $this->front[] = new Shape(Pen::disc($middle, $line, $water, self::ROUND), 'water-line');
                continue;
            }
            $this->front[] = new Shape(Pen::line($middle - $water, $line, $middle + $water, $line), 'water-line');
        }
    }

    private function dimensions(): void
    {
        $vessel = $this->plan->vessel;
        $bed = $this->plan->bed;
        $length = fn (float $m): string => $this->units->show(Dimension::Length, $m);
        $line = $this->plan->waterLine;
        $right = $this->side($vessel->width());
        $this->measure($this->x(0), $this->x($vessel->length()), $length($vessel->outerLength()));
        $this->measure($this->side(0), $right, $length($vessel->outerWidth()));
        $this->rise($this->x(0) - 12, 0.0, $line, $length($line), 'end');
        $this->labels[] = new Label($this->x(0) - 18, $this->y($line) - 5, 'water', 'end', 'dim dim-faint');

        $middle = ($this->x($vessel->length()) + $this->sideLeft) / 2;
        if ($this->plan->lamp->lumens > 0) {
            $this->labels[] = new Label($middle, $this->y($line) - 18, 'light', 'middle', 'dim dim-faint');
            $this->labels[] = new Label($middle, $this->y($line) + 4, Decimal::trimmed($this->light->surface, 0), 'middle', 'light-number');
            $this->labels[] = new Label($middle, $this->y($bed->meanDepth()) + 4, Decimal::trimmed($this->light->bed, 0), 'middle', 'light-number');
            $this->front[] = new Shape(Pen::line($middle, $this->y($line) + 12, $middle, $this->y($bed->meanDepth()) - 12), 'light-fall');
            $this->labels[] = new Label($middle, $this->y($bed->meanDepth()) + 18, 'µmol/m²/s', 'middle', 'dim dim-faint');
            $this->words[] = \sprintf('Light falls from %s at the surface to %s micromoles per square metre and second on the bed.', Decimal::trimmed($this->light->surface, 0), Decimal::trimmed($this->light->bed, 0));
        }
        foreach ([[Side::Front, $this->side(0) - 8, 'end'], [Side::Back, $right + 8, 'start']] as [$side, $x, $anchor]) {
            $soil = $bed->soil?->depth($side) ?? 0.0;
            $cap = $bed->cap?->depth($side) ?? 0.0;
            $soilY = $this->y($soil / 2) + 4;
            $capY = min($this->y($soil + $cap / 2) + 4, $soilY - 13);
            if ('start' === $anchor) {
                $this->labels[] = new Label($x, $soilY, $length($soil), $anchor, 'dim dim-soil');
                $this->labels[] = new Label($x, $capY, $length($cap), $anchor, 'dim dim-cap');
            }
            $this->words[] = \sprintf('At the %s %s of cap lie on %s of soil.', $side->value, $length($cap), $length($soil));
        }
        $this->labels[] = new Label($this->side(0), $this->floor + 27, 'front', 'start', 'dim dim-faint');
        $this->labels[] = new Label($right, $this->floor + 27, 'back', 'end', 'dim dim-faint');
    }

    private function measure(float $from, float $to, string $text): void
    {
        $y = $this->floor + 10;
        $this->front[] = new Shape(Pen::line($from, $y - 4, $from, $y + 4).Pen::line($from, $y, $to, $y).Pen::line($to, $y - 4, $to, $y + 4), 'dim-line');
        $this->labels[] = new Label(($from + $to) / 2, $y + 17, $text);
    }

    /** @param 'start'|'middle'|'end' $anchor */
    private function rise(float $x, float $from, float $to, string $text, string $anchor): void
    {
        $this->front[] = new Shape(Pen::line($x - 4, $this->y($from), $x + 4, $this->y($from)).Pen::line($x, $this->y($from), $x, $this->y($to)).Pen::line($x - 4, $this->y($to), $x + 4, $this->y($to)), 'dim-line');
        $this->labels[] = new Label($x - 6, $this->y($to) + 12, $text, $anchor);
    }
}
