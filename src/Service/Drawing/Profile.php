<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Vessel\Upright;
use Olvek\Core\Nature\Vessel\Vessel;

/** The inside of a vessel as one view shows it: how wide it is at each height, and where its bottom and its closing walls lie. */
final readonly class Profile
{
    private const SAMPLES = 48;

    /**
     * @param float $width m, the widest, by which the view is drawn
     * @param float $height m to the rim
     */
    private function __construct(private Vessel $vessel, private bool $side, public float $width, public float $height)
    {
    }

    public static function front(Vessel $vessel): self
    {
        return new self($vessel, false, $vessel->length(), $vessel->height());
    }

    public static function side(Vessel $vessel): self
    {
        return new self($vessel, true, $vessel->width(), $vessel->height());
    }

    public function isStraight(): bool
    {
        return $this->vessel instanceof Upright;
    }

    /** m across at a height. */
    public function at(float $height): float
    {
        return $this->side ? $this->vessel->widthAt($height) : $this->vessel->lengthAt($height);
    }

    /** @return list<float> m from the left at which the view is sampled */
    public function stations(): array
    {
        if ($this->isStraight()) {
            return [0.0, $this->width];
        }

        // Closer near the walls, where they curve.
        return array_map(fn (int $n): float => $this->width / 2 * (1 - cos(\M_PI * $n / self::SAMPLES)), range(0, self::SAMPLES));
    }

    /** m above the lowest point of the wall below a station. */
    public function bottom(float $station): float
    {
        return $this->isStraight() ? 0.0 : $this->edge($station, 0.0, $this->belly());
    }

    /** m above the lowest point of the wall above a station; the rim where it is open there. */
    public function top(float $station): float
    {
        if ($this->isStraight() || $this->at($this->height) >= 2 * abs($station - $this->width / 2) - 1e-9) {
            return $this->height;
        }

        return $this->edge($station, $this->height, $this->belly());
    }

    /**
     * Points of the wall from the rim on the left down to the bottom and up to the rim on the right.
     *
     * @return list<array{float, float}> m from the left, m above the bottom
     */
    public function wall(): array
    {
        $left = $right = [];
        $steps = $this->isStraight() ? 1 : self::SAMPLES;
        for ($n = $steps; $n >= 0; --$n) {
            $height = $this->height / 2 * (1 - cos(\M_PI * $n / $steps));
            $half = $this->at($height) / 2;
            $left[] = [$this->width / 2 - $half, $height];
            array_unshift($right, [$this->width / 2 + $half, $height]);
        }

        return [...$left, ...$right];
    }

    /** Height at which it is widest. */
    private function belly(): float
    {
        $best = 0.0;
        for ($n = 0; $n <= self::SAMPLES; ++$n) {
            $height = $this->height * $n / self::SAMPLES;
            $best = $this->at($height) > $this->at($best) + 1e-9 ? $height : $best;
        }

        return $best;
    }

    /** Height, between one where the wall is nearer than a station and one where it is farther, at which it passes it. */
    private function edge(float $station, float $near, float $far): float
    {
        $reach = 2 * abs($station - $this->width / 2);
        if ($this->at($near) >= $reach) {
            return $near;
        }
        for ($i = 0; $i < 24; ++$i) {
            $middle = ($near + $far) / 2;
            if ($this->at($middle) < $reach) {
                $near = $middle;
            } else {
                $far = $middle;
            }
        }

        return $far;
    }
}
