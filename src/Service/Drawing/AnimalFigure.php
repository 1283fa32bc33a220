<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;

/** The silhouette of one animal, to scale. */
final class AnimalFigure
{
    /** g per cm³ of length: mass of a slender small fish = 0.012 · length³. M (0.008–0.016). */
    private const SLENDERNESS = 0.012;
    /**
     * The same of snails, worms and insects. J: a ramshorn of 1.3 cm weighs 0.4 g, a blackworm of 4 cm 0.01 g, a backswimmer of 1.5 cm 0.15
     * g.
     */
    private const ROUND = 0.2;
    private const THREAD = 0.00015;
    private const STOUT = 0.045;

    /** m from head to tail of an adult. */
    public static function length(AnimalKind $kind): float
    {
        $slenderness = match ($kind->shape) {
            AnimalShape::Fish, AnimalShape::Shrimp => self::SLENDERNESS,
            AnimalShape::Snail => self::ROUND,
            AnimalShape::Worm => self::THREAD,
            AnimalShape::Insect => self::STOUT,
        };

        return ($kind->grams->value / $slenderness) ** (1 / 3) / 100;
    }

    /**
     * @param float $length in drawing units
     * @param int   $facing 1 to the right, −1 to the left
     */
    public static function draw(AnimalShape $form, float $x, float $y, float $length, int $facing): Shape
    {
        $u = $length / 20;
        $p = static fn (float $dx, float $dy): string => Pen::at($x + $facing * $dx * $u, $y + $dy * $u);

        return new Shape(
            match ($form) {
                AnimalShape::Fish => "M{$p(10, 0)}Q{$p(5, -4.6)} {$p(-4, -1.2)}L{$p(-10, -4.2)}L{$p(-8.4, 0)}"
                    ."L{$p(-10, 4.2)}L{$p(-4, 1.2)}Q{$p(5, 4.6)} {$p(10, 0)}Z",
                AnimalShape::Shrimp => "M{$p(10, 1)}Q{$p(4, -4)} {$p(-3, -2.6)}Q{$p(-8, -1)} {$p(-10, 4)}"
                    ."L{$p(-6.6, 3)}Q{$p(-4, 1.4)} {$p(0, 2)}"
                    ."L{$p(-1, 4.4)}L{$p(1.6, 2)}L{$p(2, 4.6)}L{$p(4.4, 2)}L{$p(6, 4)}L{$p(7, 1.6)}Z",
                AnimalShape::Snail => "M{$p(-9, 6)}Q{$p(-8, -8)} {$p(1, -7)}Q{$p(9, -6)} {$p(7, 2)}L{$p(10, 3)}Q{$p(11, 6)} {$p(8, 6)}Z",
                AnimalShape::Worm => "M{$p(-10, 1)}Q{$p(-5, -4)} {$p(0, 0)}Q{$p(5, 4)} {$p(10, -1)}L{$p(10, 0.4)}"
                    ."Q{$p(5, 5.6)} {$p(0, 1.4)}Q{$p(-5, -2.6)} {$p(-10, 2)}Z",
                AnimalShape::Insect => "M{$p(10, 0)}Q{$p(7, -4)} {$p(1, -3.6)}L{$p(-1, -7)}L{$p(-2.2, -6.4)}L{$p(-1, -3.4)}"
                    ."Q{$p(-8, -2.6)} {$p(-10, 0)}"
                    ."Q{$p(-8, 2.6)} {$p(-1, 3.4)}L{$p(-2.2, 6.4)}L{$p(-1, 7)}L{$p(1, 3.6)}Q{$p(7, 4)} {$p(10, 0)}Z",
            },
            'animal',
        );
    }
}
