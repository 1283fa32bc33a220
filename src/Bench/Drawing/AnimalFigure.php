<?php

declare(strict_types=1);

namespace Olvek\Bench\Drawing;

use Olvek\Core\Animal\Kind;
use Olvek\Core\Animal\Shape as Form;

/** The silhouette of one animal, to scale. */
final class AnimalFigure
{
    /** g per cm³ of length: mass of a slender small fish = 0.012 · length³. M (0.008–0.016). */
    private const SLENDERNESS = 0.012;

    /** m from head to tail of an adult. */
    public static function length(Kind $kind): float
    {
        return ($kind->grams->value / (Form::Snail === $kind->shape ? 0.2 : self::SLENDERNESS)) ** (1 / 3) / 100;
    }

    /**
     * @param float $length in drawing units
     * @param int   $facing 1 to the right, −1 to the left
     */
    public static function draw(Form $form, float $x, float $y, float $length, int $facing): Shape
    {
        $u = $length / 20;
        $p = static fn (float $dx, float $dy): string => Pen::at($x + $facing * $dx * $u, $y + $dy * $u);

        return new Shape(match ($form) {
            Form::Fish => "M{$p(10, 0)}Q{$p(5, -4.6)} {$p(-4, -1.2)}L{$p(-10, -4.2)}L{$p(-8.4, 0)}L{$p(-10, 4.2)}L{$p(-4, 1.2)}Q{$p(5, 4.6)} {$p(10, 0)}Z",
            Form::Shrimp => "M{$p(10, 1)}Q{$p(4, -4)} {$p(-3, -2.6)}Q{$p(-8, -1)} {$p(-10, 4)}L{$p(-6.6, 3)}Q{$p(-4, 1.4)} {$p(0, 2)}L{$p(-1, 4.4)}L{$p(1.6, 2)}L{$p(2, 4.6)}L{$p(4.4, 2)}L{$p(6, 4)}L{$p(7, 1.6)}Z",
            Form::Snail => "M{$p(-9, 6)}Q{$p(-8, -8)} {$p(1, -7)}Q{$p(9, -6)} {$p(7, 2)}L{$p(10, 3)}Q{$p(11, 6)} {$p(8, 6)}Z",
        }, 'animal');
    }
}
