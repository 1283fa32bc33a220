<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\Habit;
use Olvek\Core\Nature\Plant\PlantKind;

/** One plant, drawn from its habit and its leaves. Lengths in drawing units; y grows downward. */
abstract readonly class PlantFigure
{
    /**
     * @param float $x       middle of the foot (for floaters: of the pad)
     * @param float $y       the bed below it
     * @param float $height  of the plant
     * @param float $ceiling the water line, above which leaves of water plants bend over
     * @param float $cm      drawing units to a centimetre
     */
    final protected function __construct(
        protected PlantKind $kind,
        protected Pen $pen,
        protected Foliage $foliage,
        protected float $x,
        protected float $y,
        protected float $height,
        protected float $ceiling,
        protected float $cm,
    ) {
    }

    /** @return list<Shape> */
    public static function draw(PlantKind $kind, string $seed, float $x, float $y, float $height, float $ceiling, float $cm): array
    {
        $foliage = new Foliage();
        $figure = match ($kind->look->habit) {
            Habit::Whorled, Habit::Opposite, Habit::Alternate => StemFigure::class,
            Habit::Rosette, Habit::Ribbon, Habit::Tuft, Habit::Rhizome => CrownFigure::class,
            Habit::Creeping, Habit::Cushion, Habit::Thallus, Habit::Ball => LowFigure::class,
            Habit::Floating, Habit::Lily, Habit::Trailing => SurfaceFigure::class,
            Habit::Shoot, Habit::Reed => AirFigure::class,
        };
        (new $figure($kind, new Pen($seed), $foliage, $x, $y, max(1.0, $height), $ceiling, $cm))->grow();

        return $foliage->shapes();
    }

    abstract protected function grow(): void;

    /** A leaf of the kind; young ones in their colour. */
    final protected function blade(bool $young = false): Blade
    {
        $look = $this->kind->look;

        return new Blade($this->foliage, $look->leaf, $look->margin, $young ? $look->young : $look->colour);
    }

    /** Width of a blade against its length with stalk. */
    final protected function slimness(): float
    {
        return $this->kind->look->width->value / $this->kind->look->length->value;
    }

    /**
     * A leaf on its stalk.
     *
     * @param float $width of its blade
     */
    final protected function leaf(float $x, float $y, float $tipX, float $tipY, float $width, bool $young = false): void
    {
        $stalk = $this->kind->look->stalk->value;
        $footX = $x + ($tipX - $x) * $stalk;
        $footY = $y + ($tipY - $y) * $stalk;
        if ($stalk > 0.0) {
            $this->foliage->stalk(Pen::line($x, $y, $footX, $footY));
        }
        $this->blade($young)->draw($footX, $footY, $tipX, $tipY, $width);
    }
}
