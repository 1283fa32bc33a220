<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\UnitSystem;

/** What a method lays on the bottom: soil under a cap, either of them perhaps missing. */
final readonly class BedRecipe
{
    /**
     * @param array<string, float>  $soil      parts by volume, by id of the material; none without soil
     * @param array{float, float}   $soilDepth m at the front and at the back
     * @param array<string, float>  $cap
     * @param array{float, float}   $capDepth
     */
    public function __construct(private array $soil, private array $soilDepth, private array $cap, private array $capDepth)
    {
    }

    /** m, mean of front and back. */
    public function soilDepth(): float
    {
        return array_sum($this->soilDepth) / 2;
    }

    /** m, mean of front and back. */
    public function capDepth(): float
    {
        return array_sum($this->capDepth) / 2;
    }

    /** @return list<Change> what lays it, and takes away what another method may have left behind */
    public function changes(UnitSystem $units = UnitSystem::Metric): array
    {
        return [
            LayMix::none('leaves'),
            LayMix::none('base'),
            LayMix::none('dressing'),
            new SetNumber('bed.plate', 0.0),
            new SetNumber('bed.core', 0.0),
            new SetNumber('bed.setback', 0.0),
            new Choose('bed.bagged', false),
            new SetNumber('bed.pots', 0),
            ...self::layer('soil', $this->soil, $this->soilDepth, $units),
            ...self::layer('cap', $this->cap, $this->capDepth, $units),
        ];
    }

    /**
     * @param array<string, float> $parts
     * @param array{float, float}  $depth
     *
     * @return list<Change>
     */
    public static function layer(string $name, array $parts, array $depth, UnitSystem $units = UnitSystem::Metric): array
    {
        $lay = new LayMix($name, $parts);

        return [] === $parts
            ? [$lay]
            : [
                $lay,
                new SetNumber("bed.$name.front", self::round($depth[0], $units)),
                new SetNumber("bed.$name.back", self::round($depth[1], $units)),
            ];
    }

    /** m to a tenth of a millimetre, or to an eighth of an inch where that is how it is measured. */
    private static function round(float $metres, UnitSystem $units): float
    {
        $step = UnitSystem::Us === $units ? 0.0254 / 8 : 1e-4;

        return max(1.0, round($metres / $step)) * $step;
    }
}
