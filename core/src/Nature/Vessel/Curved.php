<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Basis\Unit\UnitSystem;

/**
 * A vessel whose level sections change with height: each is a rectangle or an ellipse of its own length and width.
 *
 * Volumes below a level are closed formulas of the shape; what lies below a slope and the area of the wall are integrated.
 */
abstract readonly class Curved implements Vessel
{
    /** Slices by which walls are added up. */
    private const SLICES = 64;
    /**
     * Points and weights of Gauss and Legendre on −1..1; the other half mirrors them. P: Abramowitz & Stegun (1964), table 25.4, n = 10.
     */
    private const GAUSS = [
        [0.148874338981631, 0.295524224714753],
        [0.433395394129247, 0.269266719309996],
        [0.679409568299024, 0.219086362515982],
        [0.865063366688985, 0.149451349150581],
        [0.973906528517172, 0.066671344308688],
    ];

    /**
     * @param float $thickness m of wall and bottom
     *
     * @throws InvalidValue
     */
    public function __construct(public float $thickness)
    {
        VesselMeasure::check($this);
    }

    /** kg per L of wall. */
    abstract protected function wallDensity(): float;

    /** True where level sections are round, false where they are rectangles. */
    abstract protected function hasRoundSections(): bool;

    public function isRound(): bool
    {
        return true;
    }

    final public function outline(): Outline
    {
        return $this->hasRoundSections()
            ? Outline::ellipse($this->length(), $this->width())
            : Outline::rectangle($this->length(), $this->width());
    }

    final public function grossVolume(): float
    {
        return $this->volumeBelow($this->height());
    }

    final public function areaAt(float $height): float
    {
        return $this->lengthAt($height) * $this->widthAt($height) * ($this->hasRoundSections() ? \M_PI / 4 : 1.0);
    }

    final public function volumeUnderSlope(float $front, float $back): float
    {
        $low = min($front, $back);
        $high = max($front, $back);
        $sum = 0.0;
        if ($high > $low) {
            foreach (self::GAUSS as [$at, $weight]) {
                foreach ([-$at, $at] as $x) {
                    $rise = (1 + $x) / 2;
                    $sum += ($weight / 2) * $this->areaBeyond($low + ($high - $low) * $rise, $this->width() * ($rise - 0.5));
                }
            }
        }

        return $this->volumeBelow($low) + 1000 * $sum * ($high - $low);
    }

    final public function wallArea(float $from, float $to): float
    {
        $area = 0.0;
        $step = ($to - $from) / self::SLICES;
        for ($i = 0; $step > 0 && $i < self::SLICES; ++$i) {
            $low = $from + $i * $step;
            $l0 = $this->lengthAt($low);
            $l1 = $this->lengthAt($low + $step);
            $w0 = $this->widthAt($low);
            $w1 = $this->widthAt($low + $step);
            $longSides = hypot($step, ($w1 - $w0) / 2);
            $shortSides = hypot($step, ($l1 - $l0) / 2);
            $area += $this->hasRoundSections()
                ? ((((\M_PI / 2) * ($l0 + $l1 + $w0 + $w1)) / 2) * ($longSides + $shortSides)) / 2
                : ($l0 + $l1) * $longSides + ($w0 + $w1) * $shortSides;
        }

        return $area;
    }

    final public function mass(): float
    {
        return 1000 * $this->wallDensity() * $this->thickness * ($this->wallArea(0.0, $this->height()) + $this->areaAt(0.0));
    }

    public function footprint(): float
    {
        // What is round below stands on a ring or a stand about as wide as its section a centimetre up.
        return max($this->areaAt(0.0), $this->areaAt(min(0.01, $this->height())));
    }

    public function broken(): ?array
    {
        return null;
    }

    /** m² of the level section at a height that lies beyond a line, m from the middle. */
    private function areaBeyond(float $height, float $line): float
    {
        $length = $this->lengthAt($height);
        $half = $this->widthAt($height) / 2;
        if ($half <= 0 || $length <= 0) {
            return 0.0;
        }
        $t = max(-1.0, min(1.0, $line / $half));

        return $this->hasRoundSections() ? ($length / 2) * $half * (acos($t) - $t * sqrt(1 - $t * $t)) : $length * $half * (1 - $t);
    }

    /**
     * @param \Closure(UnitSystem): string $words
     *
     * @return array{string, \Closure(UnitSystem): string}
     */
    final protected static function fault(string $measure, \Closure $words): array
    {
        return [$measure, $words];
    }
}
