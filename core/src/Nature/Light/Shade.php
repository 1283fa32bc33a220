<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

/**
 * Who shades whom: plants as discs of leaf at their places, the tallest first. A disc throws its shade a little beyond its own rim, since
 * light comes slanting from a lamp that is wider than a point and is thrown about by the water.
 *
 * The run, its margins and the shade map all ask this class, so that what is drawn is what is judged.
 */
final readonly class Shade
{
    /** m that a shade reaches beyond the leaves. J (0.03–0.10). */
    public const SLANT = 0.07;
    /**
     * Share of a taller neighbour's shade that a stand escapes: it leans and grows into the gaps, where a plain disc would stay put. J
     * (0.2–0.6).
     */
    public const ESCAPED = 0.4;

    /**
     * Light within each stand and below all of them, as a share of what passes the surface, before the water has taken its part.
     *
     * @param array<int, array{float, float}> $places  m from the left and from the front, of each stand, tallest first
     * @param array<int, float>               $areas   m² that each covers, in the same order
     * @param array<int, float>               $leaves  m² of leaf of each
     * @param float                           $surface m² of the water: no shade is wider
     * @param float                           $escaped share (0–1) of a neighbour's shade that a stand grows out of
     *
     * @return array{array<int, float>, float} mean light within each stand by its key; mean light on the floor
     */
    public static function within(array $places, array $areas, array $leaves, float $surface, float $escaped = self::ESCAPED): array
    {
        return self::through(self::overlaps($places, $areas), $areas, $leaves, $surface, $escaped);
    }

    /**
     * Share (0–1) of each stand that each taller one covers, where it covers any.
     *
     * @param array<int, array{float, float}> $places m from the left and from the front, tallest first
     * @param array<int, float>               $areas  m²
     * @param array<int, array<int, float>>   $known  what this told before
     * @param array<int, true>|null           $moved  those whose areas are others than then; null where nothing is known
     *
     * @return array<int, array<int, float>> by stand, tallest first, and taller stand
     */
    public static function overlaps(array $places, array $areas, array $known = [], ?array $moved = null): array
    {
        $overlaps = $above = [];
        foreach ($places as $i => [$x, $z]) {
            $radius = sqrt($areas[$i] / \M_PI) + self::SLANT;
            $anew = null === $moved || isset($moved[$i]);
            $row = $anew ? [] : $known[$i];
            foreach ($above as $n => [$atX, $atZ, $other, $otherAnew]) {
                if (!$anew && !$otherAnew) {
                    continue;
                }
                $across = ($x - $atX) * ($x - $atX) + ($z - $atZ) * ($z - $atZ);
                if ($across < ($radius + $other) * ($radius + $other)) {
                    $row[$n] = self::overlap($radius, $other, sqrt($across));
                } else {
                    unset($row[$n]);
                }
            }
            $overlaps[$i] = $row;
            $above[$i] = [$x, $z, $radius, $anew];
        }

        return $overlaps;
    }

    /**
     * The light that within() tells of, where it is known who covers whom.
     *
     * @param array<int, array<int, float>> $overlaps
     * @param array<int, float>             $areas    m²
     * @param array<int, float>             $leaves   m² of leaf
     * @param float                         $surface  m² of the water
     * @param float                         $escaped  share (0–1) of a neighbour's shade that a stand grows out of
     *
     * @return array{array<int, float>, float}
     */
    public static function through(
        array $overlaps,
        array $areas,
        array $leaves,
        float $surface,
        float $escaped = self::ESCAPED,
    ): array {
        $caught = 1 - $escaped;
        $light = $takes = [];
        $through = 0.0;
        foreach ($overlaps as $i => $covers) {
            $radius = sqrt($areas[$i] / \M_PI) + self::SLANT;
            $disc = \M_PI * $radius * $radius;
            $area = $surface < $disc ? $surface : $disc;
            $path = (Canopy::EXTINCTION * $leaves[$i]) / $area;
            $held = $takes[$i] = 1 - exp(-$path);
            $down = 1.0;
            foreach ($covers as $n => $share) {
                $down *= 1 - $caught * $takes[$n] * $share;
            }
            $light[$i] = $down * ($path < 1e-6 ? 1.0 : $held / $path);
            // On the floor shades lie one over another by chance.
            $shaded = ($held * $area) / $surface;
            $through += log(1 - ($shaded < 0.999 ? $shaded : 0.999));
        }

        return [$light, exp($through)];
    }

    /**
     * Light on a point of the bed, as the same share.
     *
     * @param array<int, array{float, float}> $places
     * @param array<int, float>               $areas
     * @param array<int, float>               $leaves
     */
    public static function below(float $x, float $z, array $places, array $areas, array $leaves, float $surface): float
    {
        $light = 1.0;
        foreach ($places as $i => [$atX, $atZ]) {
            $radius = sqrt($areas[$i] / \M_PI) + self::SLANT;
            $takes = 1 - exp((-Canopy::EXTINCTION * $leaves[$i]) / min($surface, \M_PI * $radius * $radius));
            // A shade's rim is soft: full within the leaves, gone at its reach.
            $light *= 1 - $takes * self::smooth(($radius - hypot($x - $atX, $z - $atZ)) / self::SLANT);
        }

        return $light;
    }

    /** Share (0–1) of a disc that another covers, by how far apart they are: the lens of two circles. */
    private static function overlap(float $radius, float $other, float $distance): float
    {
        if ($distance <= abs($radius - $other)) {
            return min(1.0, ($other / $radius) ** 2);
        }
        $mine = ($distance * $distance + $radius * $radius - $other * $other) / (2 * $distance);
        $its = $distance - $mine;
        $lens =
            $radius * $radius * acos($mine / $radius) +
            $other * $other * acos($its / $other) -
            $distance * sqrt(max(0.0, $radius * $radius - $mine * $mine));

        return $lens / (\M_PI * $radius * $radius);
    }

    private static function smooth(float $x): float
    {
        $x = max(0.0, min(1.0, $x));

        return $x * $x * (3 - 2 * $x);
    }
}
