<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\PlantRole;

/** The silhouette of one plant by its role. Lengths in drawing units; y grows downward. */
final readonly class PlantFigure
{
    private function __construct(private Pen $pen)
    {
    }

    /**
     * @param float $x      middle of the foot (for floaters: of the pad)
     * @param float $y      the bed below it (for floaters and house plants: the water line)
     * @param float $height of the plant
     * @param float $ceiling the water line, above which leaves of water plants bend over
     *
     * @return list<Shape>
     */
    public static function draw(PlantRole $role, string $seed, float $x, float $y, float $height, float $ceiling): array
    {
        $figure = new self(new Pen($seed));

        return match ($role) {
            PlantRole::FastStem => $figure->stem($x, $y, $height, 0.075, 0.17, 'leaf leaf-bright'),
            PlantRole::SlowStem => $figure->stem($x, $y, $height, 0.11, 0.15, 'leaf leaf-copper'),
            PlantRole::FloatingStem => $figure->feather($x, $ceiling + 3, $height),
            PlantRole::Rosette => $figure->rosette($x, $y, $height),
            PlantRole::Runner => $figure->ribbons($x, $y, $height, $ceiling),
            PlantRole::Carpet => $figure->carpet($x, $y, $height),
            PlantRole::Epiphyte => $figure->epiphyte($x, $y, $height),
            PlantRole::Moss => $figure->moss($x, $y, $height),
            PlantRole::Floater => $figure->floater($x, $ceiling, $height),
            PlantRole::Lily => $figure->lily($x, $y, $height, $ceiling),
            PlantRole::Marsh => $figure->ribbons($x, $y, $height * 1.2, $ceiling - 60),
            PlantRole::HousePlant => $figure->housePlant($x, $ceiling, $height),
        };
    }

    /** @return list<Shape> */
    private function stem(float $x, float $y, float $height, float $step, float $leaf, string $class): array
    {
        $lean = $this->pen->between(-0.08, 0.08) * $height;
        $stalk = Pen::curve($x, $y, $x + $lean * 0.2, $y - $height * 0.5, $x + $lean, $y - $height);
        $leaves = '';
        for ($t = 0.12; $t <= 1.0; $t += $step * $this->pen->between(0.85, 1.15)) {
            $foot = [$x + $lean * $t * $t, $y - $height * $t];
            $size = $height * $leaf * (0.65 + 0.5 * sin(\M_PI * min(1.0, $t * 0.9)));
            $size = min($size, 15.0);
            foreach ([-1, 1] as $side) {
                $leaves .= Pen::leaf(
                    $foot[0],
                    $foot[1],
                    $foot[0] + $side * $size,
                    $foot[1] - $size * $this->pen->between(0.3, 0.6),
                    $size * 0.24,
                );
            }
        }
        $leaves .= Pen::leaf($x + $lean, $y - $height + 2, $x + $lean + $this->pen->between(-2, 2), $y - $height - 5, 2.4);

        return [new Shape($stalk, 'stalk'), new Shape($leaves, $class)];
    }

    /** @return list<Shape> */
    private function feather(float $x, float $y, float $length): array
    {
        $span = min($length, 130.0);
        $drop = $this->pen->between(0.15, 0.45) * $span;
        $needles = '';
        for ($t = 0.03; $t <= 1.0; $t += 0.035) {
            $px = $x - $span / 2 + $span * $t;
            $py = $y + $drop * $t * $t;
            $size = 8.5 * (1 - 0.5 * $t) + 2;
            $needles .=
                Pen::line($px, $py, $px - $size * 0.6, $py - $size * 0.7).Pen::line($px, $py, $px - $size * 0.5, $py + $size * 0.8);
        }

        return [new Shape(Pen::curve($x - $span / 2, $y, $x, $y, $x + $span / 2, $y + $drop), 'stalk'), new Shape($needles, 'needle')];
    }

    /** @return list<Shape> */
    private function rosette(float $x, float $y, float $height): array
    {
        $leaves = '';
        $stalks = '';
        $count = 8;
        for ($n = 0; $n < $count; ++$n) {
            $turn = ($n / ($count - 1) - 0.5) * 2;
            $reach = $height * (1 - 0.35 * abs($turn)) * $this->pen->between(0.82, 1.0);
            $tipX = $x + $turn * $height * 0.55;
            $tipY = $y - $reach;
            $midX = $x + ($tipX - $x) * 0.38;
            $midY = $y - $reach * 0.42;
            $stalks .= Pen::line($x, $y, $midX, $midY);
            $leaves .= Pen::leaf($midX, $midY, $tipX, $tipY, max(2.2, $height * 0.085));
        }

        return [new Shape($stalks, 'stalk'), new Shape($leaves, 'leaf leaf-deep')];
    }

    /** @return list<Shape> */
    private function ribbons(float $x, float $y, float $height, float $ceiling): array
    {
        $leaves = '';
        for ($n = 0; $n < 5; ++$n) {
            $lean = $this->pen->between(-0.22, 0.22) * $height;
            $tall = $height * $this->pen->between(0.75, 1.1);
            $width = 1.8;
            $tipY = $y - $tall;
            $tipX = $x + $lean;
            if ($tipY < $ceiling + 4) {
                // Too long for the water: the leaf lies over along the surface.
                $tipX += ($lean < 0 ? -1 : 1) * min(50.0, $ceiling + 4 - $tipY);
                $tipY = $ceiling + 4;
            }
            $leaves .=
                'M'.
                Pen::at($x - $width, $y).
                'Q'.
                Pen::at($x + $lean * 0.1 - $width, $tipY + ($y - $tipY) * 0.35).
                ' '.
                Pen::at($tipX, $tipY).
                'Q'.
                Pen::at($x + $lean * 0.1 + $width, $tipY + ($y - $tipY) * 0.35).
                ' '.
                Pen::at($x + $width, $y).
                'Z';
        }

        return [new Shape($leaves, 'leaf leaf-mid')];
    }

    /** @return list<Shape> */
    private function carpet(float $x, float $y, float $height): array
    {
        $stalks = '';
        $pads = '';
        for ($n = -2; $n <= 2; ++$n) {
            $px = $x + $n * 4.2 + $this->pen->between(-1, 1);
            $py = $y - max(5.0, $height) * $this->pen->between(0.55, 1.0);
            $stalks .= Pen::line($px, $y, $px, $py);
            $pads .= Pen::disc($px - 1.6, $py, 2, 1.6).Pen::disc($px + 1.6, $py, 2, 1.6).Pen::disc($px, $py - 1.6, 1.7, 1.9);
        }

        return [new Shape($stalks, 'stalk'), new Shape($pads, 'leaf leaf-bright')];
    }

    /** @return list<Shape> */
    private function epiphyte(float $x, float $y, float $height): array
    {
        $leaves = '';
        $stalks = Pen::curve($x - 9, $y - 3, $x, $y - 6, $x + 10, $y - 3);
        for ($n = 0; $n < 6; ++$n) {
            $foot = $x - 8 + $n * 3.2;
            $turn = ($n / 5 - 0.5) * 2;
            $midX = $foot + $turn * $height * 0.2;
            $midY = $y - 4 - $height * 0.3;
            $stalks .= Pen::line($foot, $y - 4, $midX, $midY);
            $leaves .= Pen::leaf(
                $midX,
                $midY,
                $midX + $turn * $height * 0.32,
                $y - $height * $this->pen->between(0.75, 1.0),
                max(3.0, $height * 0.17),
            );
        }

        return [new Shape($stalks, 'rhizome'), new Shape($leaves, 'leaf leaf-dark')];
    }

    /** @return list<Shape> */
    private function moss(float $x, float $y, float $height): array
    {
        $height = max(9.0, $height);
        $cushion = 'M'.Pen::at($x - 16, $y);
        for ($n = 0; $n < 6; ++$n) {
            $px = $x - 16 + (($n + 1) * 32) / 6;
            $rise = $height * sin((\M_PI * ($n + 0.8)) / 7) * $this->pen->between(1.1, 1.5);
            $cushion .= 'Q'.Pen::at($px - 2.7, $y - $rise * 1.3).' '.Pen::at($px, $n < 5 ? $y - $rise * 0.62 : $y);
        }
        $strands = '';
        for ($n = 0; $n < 14; ++$n) {
            $px = $x + $this->pen->between(-13, 13);
            $py = $y - $this->pen->between(1, $height * 0.8);
            $strands .= Pen::line($px, $py, $px + $this->pen->between(-4, 4), $py - $this->pen->between(2, 5));
        }

        return [new Shape($cushion.'Z', 'leaf leaf-moss'), new Shape($strands, 'needle')];
    }

    /** @return list<Shape> */
    private function floater(float $x, float $y, float $height): array
    {
        $pads = '';
        $roots = '';
        foreach ([-9.0, 0.0, 9.0] as $offset) {
            $px = $x + $offset + $this->pen->between(-2, 2);
            $pads .= Pen::disc($px, $y - 1.2, $this->pen->between(5, 6.4), 2.6);
            foreach ([-2.0, 0.0, 2.0] as $strand) {
                $roots .= Pen::curve(
                    $px + $strand,
                    $y + 1,
                    $px + $strand * 1.8,
                    $y + 7,
                    $px + $strand + $this->pen->between(-2, 2),
                    $y + $this->pen->between(8, 16) * (0.7 + (20 * $height) / 1000),
                );
            }
        }

        return [new Shape($roots, 'roots'), new Shape($pads, 'leaf leaf-bright')];
    }

    /** @return list<Shape> */
    private function lily(float $x, float $y, float $height, float $ceiling): array
    {
        $stalks = '';
        $leaves = '';
        for ($n = 0; $n < 5; ++$n) {
            $turn = ($n / 4 - 0.5) * 2;
            $tipX = $x + $turn * 30;
            $tipY = 1 === $n % 2 ? $ceiling - 1 : max($ceiling + 8, $y - $height * $this->pen->between(0.45, 0.8));
            $stalks .= Pen::curve($x, $y, $x + $turn * 6, ($y + $tipY) / 2, $tipX, $tipY);
            $leaves .= 1 === $n % 2 ? Pen::disc($tipX, $tipY, 13, 2.4) : Pen::leaf($tipX - 10, $tipY + 2, $tipX + 11, $tipY - 3, 7);
        }

        return [new Shape($stalks, 'stalk'), new Shape($leaves, 'leaf leaf-copper')];
    }

    /** @return list<Shape> */
    private function housePlant(float $x, float $y, float $height): array
    {
        $height = min($height, 46.0);
        $roots = '';
        for ($n = 0; $n < 7; ++$n) {
            $roots .= Pen::curve(
                $x,
                $y - 4,
                $x + $this->pen->between(-14, 14),
                $y + 20,
                $x + $this->pen->between(-20, 20),
                $y + $this->pen->between(25, 62),
            );
        }
        $stalks = '';
        $leaves = '';
        for ($n = 0; $n < 5; ++$n) {
            $turn = ($n / 4 - 0.5) * 2;
            $tipX = $x + $turn * $height * 0.75;
            $tipY = $y - 8 - $height * (0.45 + 0.5 * (1 - abs($turn))) * $this->pen->between(0.85, 1.0);
            $stalks .= Pen::curve($x, $y - 2, $x + $turn * 5, ($y + $tipY) / 2, $tipX, $tipY);
            $leaves .=
                'M'.
                Pen::at($tipX, $tipY - 2).
                'q'.
                Pen::at(8, -8).
                ' '.
                Pen::at($turn * 4 + 1, 13).
                'q'.
                Pen::at(-$turn * 4 - 9, -4).
                ' '.
                Pen::at(-$turn * 4 - 1, -13).
                'Z';
        }

        return [new Shape($roots, 'roots'), new Shape($stalks, 'stalk'), new Shape($leaves, 'leaf leaf-deep')];
    }
}
