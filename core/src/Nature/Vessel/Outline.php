<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** A vessel's inside seen from above, where it is widest: a closed line of points, m from the left wall and m from the front. */
final readonly class Outline
{
    /** Corners by which a round one is drawn. */
    private const ROUND = 96;
    /** Corners beyond which an outline is a round one. */
    private const CORNERS = 8;

    /** @param non-empty-list<array{float, float}> $points in turn around it */
    public function __construct(public array $points)
    {
    }

    public static function rectangle(float $length, float $width): self
    {
        return new self([[0.0, 0.0], [$length, 0.0], [$length, $width], [0.0, $width]]);
    }

    public static function ellipse(float $length, float $width): self
    {
        $at = static fn (int $n): float => (2 * \M_PI * $n) / self::ROUND;

        return new self(
            array_map(
                static fn (int $n): array => [($length / 2) * (1 - cos($at($n))), ($width / 2) * (1 - sin($at($n)))],
                range(0, self::ROUND - 1),
            ),
        );
    }

    /** m of the longest straight pane; null where the outline is bent. */
    public function longestPane(): ?float
    {
        $longest = 0.0;
        $before = $this->points[\count($this->points) - 1];
        foreach ($this->points as $point) {
            $longest = max($longest, hypot($point[0] - $before[0], $point[1] - $before[1]));
            $before = $point;
        }

        return \count($this->points) > self::CORNERS ? null : $longest;
    }

    /** Whether a place is inside; by the crossings of a ray to the right. P: Shimrat (1962), Algorithm 112, Commun. ACM 5, 434. */
    public function contains(float $x, float $z): bool
    {
        $inside = false;
        $before = $this->points[\count($this->points) - 1];
        foreach ($this->points as $point) {
            $above = $point[1] > $z;
            $was = $before[1] > $z;
            if ($above !== $was) {
                $at = ($before[0] - $point[0]) * ($z - $point[1]) / ($before[1] - $point[1]) + $point[0];
                $inside = $x < $at ? !$inside : $inside;
            }
            $before = $point;
        }

        return $inside;
    }

    /**
     * A place itself, if it is inside; else the first one that is, on the straight way from there to the middle.
     *
     * @return array{float, float} m from the left wall and m from the front
     */
    public function nearest(float $x, float $z): array
    {
        if ($this->contains($x, $z)) {
            return [$x, $z];
        }
        $along = array_column($this->points, 0);
        $across = array_column($this->points, 1);
        $middle = [(min($along) + max($along)) / 2, (min($across) + max($across)) / 2];
        $at = static fn (float $share): array => [$x + $share * ($middle[0] - $x), $z + $share * ($middle[1] - $z)];
        $out = 0.0;
        $in = 1.0;
        while ($in - $out > 1e-4) {
            $half = ($in + $out) / 2;
            if ($this->contains(...$at($half))) {
                $in = $half;
            } else {
                $out = $half;
            }
        }

        return $at($in);
    }

    /**
     * What of it lies in a rectangle: its line cut off at each side in turn. P: Sutherland & Hodgman (1974), Reentrant polygon clipping,
     * Commun. ACM 17, 32–42.
     *
     * @return float m²
     */
    public function areaWithin(float $left, float $right, float $front, float $back): float
    {
        $points = $this->points;
        foreach ([[0, $left, 1], [0, $right, -1], [1, $front, 1], [1, $back, -1]] as [$axis, $at, $sign]) {
            $kept = [];
            $before = $points[\count($points) - 1] ?? null;
            foreach ($points as $point) {
                \assert(null !== $before);
                $in = $sign * ($point[$axis] - $at) >= 0;
                if ($in !== ($sign * ($before[$axis] - $at) >= 0)) {
                    $share = ($at - $before[$axis]) / ($point[$axis] - $before[$axis]);
                    $kept[] = [$before[0] + $share * ($point[0] - $before[0]), $before[1] + $share * ($point[1] - $before[1])];
                }
                if ($in) {
                    $kept[] = $point;
                }
                $before = $point;
            }
            $points = $kept;
        }

        return [] === $points ? 0.0 : (new self($points))->area();
    }

    /** m² within it. */
    public function area(): float
    {
        $twice = 0.0;
        $before = $this->points[\count($this->points) - 1];
        foreach ($this->points as $point) {
            $twice += $before[0] * $point[1] - $point[0] * $before[1];
            $before = $point;
        }

        return abs($twice) / 2;
    }

    /**
     * Where panes meet, as one sees it from the front or from a side: corners of an angular outline that lie between its ends.
     *
     * @return list<float> m along the front, or from the front to the back
     */
    public function edges(bool $fromSide): array
    {
        $along = array_map(static fn (array $p): float => $fromSide ? $p[1] : $p[0], $this->points);
        $across = array_map(static fn (array $p): float => $fromSide ? $p[0] : $p[1], $this->points);
        $edges = [];
        foreach (\count($this->points) < self::ROUND / 8 ? $along : [] as $n => $metres) {
            // What lies behind the middle is hidden by what is before it.
            if ($metres > min($along) + 1e-6 && $metres < max($along) - 1e-6 && $across[$n] <= (min($across) + max($across)) / 2 + 1e-6) {
                $edges[] = $metres;
            }
        }

        return $edges;
    }
}
